const LETTERS = 'abcdefghijkmnpqrstuvwxyz23456789' // 32 signs, none that look alike

/** A new record id: 12 signs, 60 random bits, so that ids made on two benches do not meet. */
export const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => LETTERS[byte & 31]).join('')
