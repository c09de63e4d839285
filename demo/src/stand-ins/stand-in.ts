/** A simulated instrument that answers on this machine alone. */
export interface StandIn {
  readonly port: number;
  stop(): Promise<void>;
}
