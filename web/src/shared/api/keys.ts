/** Names of everything the page keeps from the server, in one place. */
export const keys = {
  examinations: ["examinations"] as const,
  examination: (id: string) => ["examination", id] as const,
  weighing: (id: string, number: number) => ["weighing", id, number] as const,
  note: (id: string, number: number) => ["note", id, number] as const,
  library: ["library"] as const,
  testSheet: (id: string) => ["library", "test", id] as const,
  conditionSheet: (id: string) => ["library", "condition", id] as const,
  clusterSheet: (id: string) => ["library", "set", id] as const,
  effect: (test: string, condition: string, hundredths: number, record: string) => ["library", "effect", test, condition, hundredths, record] as const,
  ledger: (search: string, use: string, page: number) => ["library", "ledger", search, use, page] as const,
  calculation: (kind: string, values: string) => ["calculation", kind, values] as const,
  region: (region: string) => ["region", region] as const,
};
