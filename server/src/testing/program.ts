import type { TodayView } from '@young-oak/api/training'
import { publish } from './publish.ts'
import { smallTemplate } from './template.ts'
import { makeWorld, type Agent, type Seated, type World } from './world.ts'

/** A gym with a writer and a template, and hands to put members on it. */
export type Program = {
  world: World
  gym: string
  writer: Seated
  coach: Agent
  template: string
  /** A member who is on the template from a day, signed in on a phone. */
  enrol(name: string, start: string): Promise<{ member: Seated; phone: Agent; enrolment: string }>
}

export async function makeProgram(): Promise<Program> {
  const world = await makeWorld()
  const gym = await world.addGym('Here')
  const writer = await world.addStaff(gym, 'writer', 'Will')
  const coach = await world.signIn(writer)
  const template: string = (await coach.post('/api/templates').send({ template: smallTemplate() })).body.id
  return {
    world,
    gym,
    writer,
    coach,
    template,
    async enrol(name, start) {
      const member = await world.addMember(gym, name, writer)
      await publish(world, coach, template, { members: [member.id], start })
      const phone = await world.signIn(member)
      const view: TodayView = (await phone.get(`/api/me/today?today=${start}`).expect(200)).body
      return { member, phone, enrolment: view.enrolments[0]?.id ?? '' }
    },
  }
}
