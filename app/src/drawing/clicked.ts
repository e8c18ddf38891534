/**
 * Has a group of a drawing hear clicks. Given as its own `onPress` it would be followed through six more handlers each,
 * which a browser does not know; only where that is null is the click left as it is.
 */
export const clicked = (press: () => void): object => ({ onPress: null, onClick: press });
