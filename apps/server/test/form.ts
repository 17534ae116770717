import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';

/** What a page of today says about itself. */
export const FORM = { [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION) };
