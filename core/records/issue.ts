import type * as z from 'zod/mini'

/**
 * What a schema found wrong, in words: zod's codes without its sentences, which would come in one language and weigh
 * more than the schemas.
 */
export function issueWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return `${issue.expected} expected`
    case 'invalid_value':
      return `one of ${issue.values.map(String).join(', ')} expected`
    case 'too_small':
      return `at least ${String(issue.minimum)} expected${issue.inclusive === false ? ', and more than it' : ''}`
    case 'too_big':
      return `at most ${String(issue.maximum)} expected`
    case 'invalid_format':
      return `another form of text expected${issue.pattern ? ` (${issue.pattern})` : ''}`
    case 'invalid_union':
      return 'none of the known shapes fits'
    default:
      return issue.message
  }
}
