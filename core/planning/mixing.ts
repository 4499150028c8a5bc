/** A two-part batch below this is easily off its ratio, g (rules of the trade, mix-off-ratio). */
export const LEAST_MIX_G = 5
/** A mix is spread within this share of its pot life. */
export const POT_SHARE = 0.7
