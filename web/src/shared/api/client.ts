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

const client = createClient<paths>({ baseUrl: "/" });

client.use({
  onRequest({ request }) {
    const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
    if (token) {
      request.headers.set("X-XSRF-TOKEN", decodeURIComponent(token));
    }
    return request;
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
  if (response.ok && data !== undefined) {
    return data;
  }
  const said = (error ?? {}) as Partial<Problem>;
  if (response.status >= 400 && response.status < 500 && response.status !== 403 && response.status !== 408 && response.status !== 429) {
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
