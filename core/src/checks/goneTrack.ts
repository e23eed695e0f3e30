import { defineCheck } from './check.ts'

/** A track that the version in force no longer has. */
export const goneTrack = defineCheck({
  kind: 'goneTrack',
  title: 'Tracks that are gone',
  sure: 'rule',
  ofEnrolment: ({ template, track }) =>
    track === undefined || template.tracks[track]
      ? []
      : [{ message: 'gone', subject: track, where: track, value: track }],
  messages: {
    gone: {
      what: 'This version does not have the track: the template is used as written.',
      next: 'Choose another track.',
    },
  },
})
