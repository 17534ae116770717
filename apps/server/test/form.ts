import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { FORM_HEADER } from '@mint-lamp/core/wire/form';

/** What a page of today says about itself. */
export const FORM = { [FORM_HEADER]: String(DOCUMENT_VERSION) };
