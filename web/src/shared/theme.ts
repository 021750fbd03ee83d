const CHOICE = "lexicor.theme";

/** How the page looks: light, dark, or as the device is set. */
export type Theme = "light" | "dark" | "device";

export const THEMES: { value: Theme; label: string }[] = [
  { value: "device", label: "As the device" },
  { value: "light", label: "Light" },
  { value: "dark", label: "Dark" },
];

const dark = () => window.matchMedia("(prefers-color-scheme: dark)");

/** The theme chosen in this browser. */
export function theme(): Theme {
  const kept = window.localStorage.getItem(CHOICE);
  return kept === "light" || kept === "dark" ? kept : "device";
}

export function chooseTheme(next: Theme): void {
  window.localStorage.setItem(CHOICE, next);
  apply();
}

/** Puts the theme on the page and keeps it in step with the device; paper is always light. */
export function followTheme(): void {
  apply();
  dark().addEventListener("change", apply);
  window.addEventListener("beforeprint", () => {
    document.documentElement.dataset.theme = "light";
  });
  window.addEventListener("afterprint", apply);
}

function apply(): void {
  const chosen = theme();
  document.documentElement.dataset.theme = chosen === "device" ? (dark().matches ? "dark" : "light") : chosen;
}
