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
  /** The field at fault; absent where it is none. */
  field?: string;
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

/** A request on which the server failed, or for which it had no room: the same request may succeed later. */
export class Failed extends Error {
  readonly status: number;

  constructor(status: number, detail: string) {
    super(detail);
    this.name = "Failed";
    this.status = status;
  }
}

/** Sends a request with the token of the moment. */
async function withToken(request: Request): Promise<Response> {
  const before = token();
  const response = await sent(request, before);
  // a token of an earlier session is answered with a new one
  return response.status === 403 && token() !== before ? sent(request, token()) : response;
}

function token(): string | undefined {
  return /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
}

function sent(request: Request, withThis: string | undefined): Promise<Response> {
  const copy = request.clone();
  if (withThis) {
    copy.headers.set("X-XSRF-TOKEN", decodeURIComponent(withThis));
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
 * @throws Refused if the server refused, Failed if it could not do it; any other error means that it was not reached
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
      ...(said.field ? { field: said.field } : {}),
    });
  }
  throw new Failed(response.status, said.detail ?? `The server answered ${String(response.status)}.`);
}

export const api = client;
