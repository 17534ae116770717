export interface Cluster {
  readonly url: string;
  readonly port: number;
  readonly bin: string;
  readonly folder: string;
  /** Null when it does not run. */
  pid(): number | null;
  stop(): void;
  restart(): void;
  remove(): void;
}
export function ensurePostgres(): string;
export function freePort(): Promise<number>;
export function clusterFolder(): string;
export function temporaryFolder(): string;
export function startCluster(folder: string): Promise<Cluster>;
export function ownPostmaster(folder: string): number | null;
export function stopCluster(folder: string): void;
export function removeCluster(folder: string): void;
