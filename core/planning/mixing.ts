/** A two-part batch below this is easily off its ratio, g (rules of the trade, mix-off-ratio). */
export const LEAST_MIX_G = 5
/** A mix is spread within this share of its pot life. */
export const POT_SHARE = 0.7
/** Lining up and closing one piece, s. */
export const CLOSE_S = 30
/** Glue that is laid with a gun, or set with a hot tool, waits some minutes until that is hot, s. */
export const GUN_WARMS_S = 300
