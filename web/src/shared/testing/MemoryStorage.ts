/** A browser's storage for tests. `most` is the longest text it takes: a longer one finds it full. */
export class MemoryStorage implements Storage {
  readonly #items = new Map<string, string>();
  readonly #most: number;

  constructor(most = Infinity) {
    this.#most = most;
  }

  get length() {
    return this.#items.size;
  }
  clear() {
    this.#items.clear();
  }
  getItem(key: string) {
    return this.#items.get(key) ?? null;
  }
  key(index: number) {
    return [...this.#items.keys()][index] ?? null;
  }
  removeItem(key: string) {
    this.#items.delete(key);
  }

  setItem(key: string, value: string) {
    if (value.length > this.#most) {
      throw new Error("full");
    }
    this.#items.set(key, value);
  }
}
