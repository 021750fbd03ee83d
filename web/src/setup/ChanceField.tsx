import type { Schemas } from "../shared/api/client";
import { NumberField } from "./NumberField";

/** A chance in 100 that can be changed, beside the one that ships. */
export function ChanceField({ setting, label }: { setting: Schemas["NumberSettingJson"]; label: string }) {
  return <NumberField setting={setting} label={label} scale={100} least={0.1} most={99.9} digits={1} />;
}
