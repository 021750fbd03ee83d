import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { EffortReader, read } from "./effort";
import type { Sample } from "./instrument";
import { EVERY, reading, StandIn, type Behaviour } from "./standIn";

const trace = (behaviour: Behaviour): Sample[] =>
  Array.from({ length: 80 }, (_, index) => ({
    at: index * EVERY,
    value: reading("force", behaviour, index * EVERY),
  })).filter((sample) => sample.value > 3);

describe("an effort read off its trace", () => {
  it("is held to the end by somebody strong", () => {
    const effort = read(trace("strong"));
    expect(effort.peak).toBeGreaterThan(130);
    expect(effort.lasted).toBeGreaterThan(3);
    expect(effort.gaveWay).toBeUndefined();
  });

  it("is lower, and held as long, by somebody weak", () => {
    expect(read(trace("weak")).peak).toBeLessThan(60);
    expect(read(trace("weak")).gaveWay).toBeUndefined();
  });

  it("says when it gave way", () => {
    expect(read(trace("gives-way")).gaveWay).toBeCloseTo(1.2, 1);
  });

  it("ends early with pain, without giving way first", () => {
    const effort = read(trace("pain-limited"));
    expect(effort.lasted).toBeLessThan(1);
    expect(effort.gaveWay).toBeUndefined();
  });

  it("refuses to say anything of no samples", () => {
    expect(() => read([])).toThrow("one or more");
  });
});

describe("the stand-in", () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it("gives one effort for one push, through the port", () => {
    const gauge = new StandIn("force");
    const reader = new EffortReader();
    const efforts: number[] = [];
    gauge.subscribe(
      (sample) => {
        const effort = reader.take(sample);
        if (effort) {
          efforts.push(effort.peak);
        }
      },
      () => undefined,
    );
    gauge.connect();
    vi.advanceTimersByTime(500);
    gauge.effort("strong");
    vi.advanceTimersByTime(5000);
    gauge.effort("weak");
    vi.advanceTimersByTime(5000);
    expect(efforts).toHaveLength(2);
    expect(efforts[0]).toBeGreaterThan(2 * (efforts[1] ?? 0));
  });

  it.each([0, 400, 900, 2500])("measures on its own clock while the page is busy for %i ms", (busy) => {
    const gauge = new StandIn("force");
    const reader = new EffortReader();
    const gaveWay: (number | undefined)[] = [];
    gauge.subscribe(
      (sample) => {
        const effort = reader.take(sample);
        if (effort) {
          gaveWay.push(effort.gaveWay);
        }
      },
      () => undefined,
    );
    gauge.connect();
    gauge.effort("gives-way");
    vi.advanceTimersByTime(1100);
    vi.setSystemTime(Date.now() + busy); // time goes by, the timer does not run
    vi.advanceTimersByTime(4000);
    expect(gaveWay).toHaveLength(1);
    expect(gaveWay[0]).toBeCloseTo(1.2, 1);
  });

  it("says when it is lost, and gives nothing more", () => {
    const gauge = new StandIn("grip");
    const heard: string[] = [];
    let samples = 0;
    const end = gauge.subscribe(
      () => {
        samples += 1;
      },
      (status) => {
        heard.push(status);
      },
    );
    gauge.connect();
    vi.advanceTimersByTime(200);
    gauge.lose();
    const before = samples;
    vi.advanceTimersByTime(1000);
    expect(samples).toBe(before);
    expect(heard).toEqual(["connected", "lost"]);
    expect(gauge.status).toBe("lost");
    end();
    gauge.connect();
    expect(heard).toHaveLength(2);
  });
});
