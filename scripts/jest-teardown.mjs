export default async function teardown() {
  await globalThis.stopTestCluster?.()
}
