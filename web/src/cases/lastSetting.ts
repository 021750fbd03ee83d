import type { Schemas } from "../shared/api/client";

type Setting = Schemas["VisitRequest"]["setting"];

const KEY = "lexicor.setting";

/** The setting chosen last on this device: a clinic seldom changes it. */
export function lastSetting(): Setting {
  return window.localStorage.getItem(KEY) === "SPECIALIST" ? "SPECIALIST" : "FIRST_CONTACT";
}

export function rememberSetting(setting: Setting): void {
  window.localStorage.setItem(KEY, setting);
}
