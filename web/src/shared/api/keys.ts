/** Names of everything the page keeps from the server, in one place. */
export const keys = {
  examinations: ["examinations"] as const,
  examination: (id: string) => ["examination", id] as const,
  weighing: (id: string, number: number) => ["weighing", id, number] as const,
  note: (id: string, number: number) => ["note", id, number] as const,
  region: (region: string) => ["region", region] as const,
};
