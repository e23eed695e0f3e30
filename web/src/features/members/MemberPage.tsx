import { lazy, Suspense, type ComponentType } from 'react'
import { Navigate, useParams } from 'react-router'

const pages: Record<string, ComponentType> = {
  progress: lazy(() => import('../progress/ProgressPage.tsx')),
  maxes: lazy(() => import('../maxes/MaxesPage.tsx')),
  profile: lazy(() => import('../profile/ProfilePage.tsx')),
  equipment: lazy(() => import('../equipment/OwnEquipmentPage.tsx')),
}

/** A page of one member, as their writer sees it. */
export default function MemberPage() {
  const { page = '' } = useParams()
  const Page = Object.hasOwn(pages, page) ? pages[page] : undefined
  if (!Page) return <Navigate to="/members" replace />
  return (
    <Suspense fallback={<p className="p-6 text-bark">Loading…</p>}>
      <Page />
    </Suspense>
  )
}
