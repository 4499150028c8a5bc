/** Failure places are rounded one by one: their sum may be off by so much, %. */
export const PLACES_OFF = 0.5
