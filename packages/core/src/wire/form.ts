/**
 * The header in which page and server tell each other the version of the form that they write documents and
 * commands in. A page that says nothing is of the time before there was such a header.
 */
export const FORM_HEADER = 'mint-lamp-form';
export const FORM_WITHOUT_HEADER = 1;
