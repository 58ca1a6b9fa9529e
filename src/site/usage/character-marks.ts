/** Most text is made of few letters, which are marked faster than put into a set. */
export class CharacterMarks {
  private readonly marks = new Uint8Array(0x600);
  private readonly others = new Set<number>();

  has(character: number): boolean {
    return character < this.marks.length ? this.marks[character] === 1 : this.others.has(character);
  }

  /** @returns whether some of it may be a combining mark, of which there is none before U+0300 */
  add(text: string): boolean {
    const { marks, others } = this;
    let mayHaveMarks = false;
    for (let i = 0; i < text.length; i++) {
      const unit = text.charCodeAt(i);
      if (unit >= 0x300) mayHaveMarks = true;
      if (unit < marks.length) marks[unit] = 1;
      else {
        const character = text.codePointAt(i)!;
        others.add(character);
        if (character > 0xffff) i++;
      }
    }
    return mayHaveMarks;
  }

  addTo(target: Set<number>): void {
    const { marks } = this;
    for (let character = 0; character < marks.length; character++)
      if (marks[character] === 1) target.add(character);
    for (const character of this.others) target.add(character);
  }
}
