import { gate } from "./gate";
import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

/** The shapes that server and page exchange, as the server describes them. */
export type Schemas = components["schemas"];

/** What the server says when it cannot take a request. */
export interface Problem {
  status: number;
  title: string;
  detail: string;
  errors: { field: string; message: string }[];
}

/** A request that the server answered with a refusal; asking again in the same way would be refused again. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.name = "Refused";
    this.problem = problem;
  }
}

/** Sends a request with the token of the moment. */
function withToken(request: Request): Promise<Response> {
  const copy = request.clone();
  const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
  if (token) {
    copy.headers.set("X-XSRF-TOKEN", decodeURIComponent(token));
  }
  return fetch(copy);
}

/** Requests about the session itself answer for themselves. */
const OWN_ANSWER = ["/api/session", "/api/first-account"];

/** Where the session has ended, a request waits until somebody signed in again, and is then sent once more. */
const client = createClient<paths>({
  baseUrl: "/",
  fetch: async (request) => {
    for (;;) {
      const response = await withToken(request);
      if (response.status !== 401 || OWN_ANSWER.includes(new URL(request.url).pathname)) {
        return response;
      }
      await gate.signedIn();
    }
  },
});

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/**
 * The data of an answer.
 *
 * @throws Refused if the server refused; any other error means that it was not reached or failed, and may be tried again
 */
export async function dataOf<T>(answer: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await answer;
  if (response.ok) {
    return data as T; // absent only where the answer has no content
  }
  const said = (error ?? {}) as Partial<Problem>;
  if (response.status >= 400 && response.status < 500 && response.status !== 408) {
    throw new Refused({
      status: response.status,
      title: said.title ?? "Not accepted",
      detail: said.detail ?? "The server did not accept this.",
      errors: said.errors ?? [],
    });
  }
  throw new Error(said.detail ?? `The server answered ${String(response.status)}.`);
}

export const api = client;
