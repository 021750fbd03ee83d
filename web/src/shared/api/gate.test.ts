import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { api, dataOf, Refused } from "./client";
import { gate } from "./gate";

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });

describe("a session that ended", () => {
  const answers: Response[] = [];
  const asked: string[] = [];

  beforeEach(() => {
    vi.stubGlobal("document", { cookie: "XSRF-TOKEN=abc" });
    vi.stubGlobal("fetch", async (request: Request) => {
      asked.push(`${request.method} ${await request.text()} ${request.headers.get("X-XSRF-TOKEN") ?? ""}`);
      return answers.shift() ?? json(500, {});
    });
    vi.stubGlobal("location", { href: "http://here/" });
  });

  afterEach(() => {
    vi.unstubAllGlobals();
    answers.length = 0;
    asked.length = 0;
    gate.open();
  });

  it("lets a request wait and sends it again, body and all, once somebody signed in", async () => {
    answers.push(json(401, {}), json(200, { revision: 1 }));
    const change = dataOf(
      api.PUT("/api/settings/{name}", {
        baseUrl: "http://here",
        params: { path: { name: "force-unit" } },
        body: { value: "kilograms" },
      }),
    );
    await vi.waitFor(() => {
      expect(gate.state.closed).toBe(true);
    });
    expect(asked).toHaveLength(1);
    gate.open();
    await expect(change).resolves.toEqual({ revision: 1 });
    expect(asked[1]).toBe(asked[0]);
    expect(asked[1]).toContain('{"value":"kilograms"} abc');
    expect(gate.state.closed).toBe(false);
  });

  it("does not cover the page where the sign-in itself is refused", async () => {
    answers.push(json(401, { detail: "Name and password do not go together." }));
    await expect(
      dataOf(api.POST("/api/session", { baseUrl: "http://here", body: { name: "a", password: "b" } })),
    ).rejects.toThrow(Refused);
    expect(gate.state.closed).toBe(false);
  });

  it("a refusal by role is an answer, not a reason to ask again", async () => {
    answers.push(json(403, { detail: "Your role does not allow this." }));
    await expect(dataOf(api.GET("/api/accounts", { baseUrl: "http://here" }))).rejects.toThrow(
      "Your role does not allow this.",
    );
    expect(asked).toHaveLength(1);
  });
});
