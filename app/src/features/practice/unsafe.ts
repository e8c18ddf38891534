/** Something tempting that hurts. */
export type Unsafe = 'ohms' | 'fuse' | 'hand';
