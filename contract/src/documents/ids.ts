/** How pieces, points and ways are called. */
export const ID = /^[a-z0-9][a-z0-9-]{0,39}$/;
export const ID_MESSAGE = '$property must be 1 to 40 of a–z, 0–9 and -, got “$value”';
