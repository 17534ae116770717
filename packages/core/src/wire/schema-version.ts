/**
 * The header in which page and server tell each other the schema version that they write documents and
 * commands in. A page that says nothing is of the time before there was such a header.
 */
export const SCHEMA_VERSION_HEADER = 'mint-lamp-form';
export const VERSION_WITHOUT_HEADER = 1;
