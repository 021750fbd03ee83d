import { expect, it } from "vitest";
import { sizeWords } from "./sizeWords";

it("says sizes as a person would", () => {
  expect(sizeWords(0)).toBe("0 bytes");
  expect(sizeWords(1)).toBe("1 byte");
  expect(sizeWords(999)).toBe("999 bytes");
  expect(sizeWords(1000)).toBe("1.0 kB");
  expect(sizeWords(9_940)).toBe("9.9 kB");
  expect(sizeWords(9_960)).toBe("10 kB");
  expect(sizeWords(999_499)).toBe("999 kB");
  expect(sizeWords(999_600)).toBe("1.0 MB");
  expect(sizeWords(3_210_000_000)).toBe("3.2 GB");
});
