/** A column of numbers that grows, eight bytes a number: lists of a long log would take several times as much. */
export class GrowingColumn {
  private values = new Float64Array(4096);
  length = 0;

  push(value: number): void {
    if (this.length === this.values.length) {
      const larger = new Float64Array(this.values.length * 2);
      larger.set(this.values);
      this.values = larger;
    }
    this.values[this.length] = value;
    this.length += 1;
  }

  /** What is in it, without a copy: of no use once more is pushed. */
  whole(): Float64Array {
    return this.values.subarray(0, this.length);
  }
}
