/** What is kept for when the server does not answer, by the names that the script of `public/sw.js` knows. */
export const KEPT = 'mint-lamp-kept';
