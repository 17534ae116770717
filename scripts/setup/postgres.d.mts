export interface Cluster {
  readonly url: string;
  readonly port: number;
  readonly bin: string;
  readonly folder: string;
  pid(): number;
  stop(): unknown;
  restart(): void;
  remove(): void;
}
export function ensurePostgres(): string;
export function freePort(): Promise<number>;
export function clusterFolder(): string;
export function temporaryFolder(): string;
export function startCluster(folder: string): Promise<Cluster>;
