export interface Remarked {
  remark: string;
}

/** A remark as a body carries it: none when nothing was typed. */
export const remarkOf = ({ remark }: Remarked): { remark?: string } => (remark.trim() ? { remark: remark.trim() } : {});
