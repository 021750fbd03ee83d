import { Button } from "../shared/ui/Button";
import { ROLE_MEANING, ROLES, roleWord, type Role } from "./session";

/** Which roles somebody has; several may hold. */
export function RoleChoice({
  roles,
  fault,
  onChange,
}: {
  roles: Role[];
  fault?: string | undefined;
  onChange: (roles: Role[]) => void;
}) {
  return (
    <fieldset>
      <legend className="text-read font-semibold">May do</legend>
      <div className="mt-1 flex flex-col gap-2">
        {ROLES.map((role) => (
          <Button
            key={role}
            look="choice"
            chosen={roles.includes(role)}
            onClick={() => {
              onChange(roles.includes(role) ? roles.filter((each) => each !== role) : [...roles, role]);
            }}
          >
            <strong>{roleWord(role)}</strong>: {ROLE_MEANING[role]}
          </Button>
        ))}
      </div>
      {fault && <p className="mt-1 text-note text-for">{fault}</p>}
    </fieldset>
  );
}
