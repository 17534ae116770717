import { findColors } from '@mint-lamp/core/color/find';
import { expose } from 'comlink';

const api = { findColors };
export type TextWorker = typeof api;

expose(api);
