import { CodedError, type ErrorCode } from './errors'
import { digitsOf } from './quantities/figure'

/** The sentence for each code: what was expected and what to do. `{x}` stands for a fact of the error. */
const sentences: Record<ErrorCode, string> = {
  'not-a-number': 'Expected {wanted}, such as {example}; got “{got}”.',
  'ambiguous-number': '“{got}” can be read in two ways. Write {whole} or {decimal}.',
  'unknown-unit': 'The unit “{got}” is not known here. Known units: {known}.',
  'wrong-kind-of-unit': '“{got}” measures {gotKind}, but {wantedKind} is needed here. Known units: {known}.',
  missing: '{field} is missing: it is needed for {purpose}.',
  negative: '{field} cannot be below zero; got {got}.',
  'not-positive': '{field} must be more than zero; got {got}.',
  'not-whole': '{field} must be a whole number; got {got}.',
  'out-of-range': '{field} must lie between {low} and {high}; got {got}.',
  'not-one-of': '{field} must be one of {known}; got “{got}”.',
  'wrong-shape': '{field}: {detail}.',
  'out-of-order': '{field}: the lower value {low} is not below the upper value {high}.',
  'not-hundred-percent': 'The failure places must add up to 100 %; they make {got} %.',
  'uncalibrated-hands':
    'Pull this grip on the scale three times first (Shelf, hand calibration): hands without that give an ' +
    'order, not a load.',
  'trace-too-short': 'The trace holds {got} usable points; at least {low} are needed.',
  'not-json': 'This is not a JSON text: {detail}.',
  'not-a-bench-file': 'This file is not a Paste Bench bench file: {detail}. Nothing was read in.',
  'newer-version':
    'This bench file has version {got}; this app knows up to {known}. Update the app first. The file was left ' +
    'untouched.',
  'too-large': '{field} is too large: {detail}. Nothing was read in.',
  damaged: 'The bench file is damaged at {field}: {detail}. Nothing was read in.',
  conflict: '{field} was changed elsewhere in the meantime. Nothing was written; look again and repeat the change.',
  'changed-since':
    '“{what}” cannot be taken back or done again by itself: “{by}” changed the same thing since, in another tab. ' +
    'Take that back first. Nothing was written.',
  taken: '{field}. Nothing was written.',
  'none-left': 'Both benches have a {field}, and no other name is left for one of them. Rename one first.',
  'points-nowhere': '{field} needs {to}, which is no longer there. Nothing was written.',
  'still-used': '{field} is still used by {by}. Nothing was written.',
  'bench-gone': 'This bench is no longer kept here: {detail}',
  'bench-damaged': 'This bench cannot be read whole: {detail}',
  'newer-bench':
    'This bench was stored by a newer build of the app (version {got}; this one knows up to {known}). Open it with ' +
    'that build. It was left untouched.',
  'piece-missing':
    'A part of the app could not be fetched, so nothing was written. Is its server still running, or the network ' +
    'there? Then do it again, or open the app anew.',
  'worker-gone':
    'The computation stopped, and so did a second try ({detail}). What you entered is kept; try again, or ' +
    'open the app ' +
    'anew.',
  'storage-silent':
    'The browser’s storage did not answer for {seconds} s. What is on screen is kept in this tab; try again, ' +
    'or save a ' +
    'bench file.',
  'no-load': 'A load of 0 is no strength: say “came apart in handling”, or give what the scale said.',
  'rest-not-read': 'Expected a number such as {example}; “{rest}” in “{got}” was not understood.',
  'unknown-verb': 'There is no verb “{got}”. Known: {known}.',
}

/** What to tell the person: the sentence of a coded error with its facts put in; any other error by its own message. */
export function sayError(error: unknown): string {
  if (!(error instanceof CodedError)) return error instanceof Error ? error.message : String(error)
  return sentences[error.code].replace(/\{(\w+)\}/g, (_, key: string) =>
    key === 'field' && error.facts['field'] === undefined
      ? error.path || 'The input'
      : typeof error.facts[key] === 'number'
        ? digitsOf(error.facts[key])
        : String(error.facts[key] ?? '?'),
  )
}
