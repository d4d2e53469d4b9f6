/**
 * A control fuse of more than so many times full load lets the transformer burn first (order of NEC 430.72(C),
 * 450.3(B)).
 */
export const mostFuseShare = 1.67
