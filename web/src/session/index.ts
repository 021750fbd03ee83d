/** What other features may use of this one. */
export { AccountMenu } from "./AccountMenu";
export { PASSWORD_HINT, PasswordForm } from "./PasswordForm";
export { RoleChoice } from "./RoleChoice";
export { TopBar } from "./TopBar";
export { type Role, roleWord, usePerson } from "./session";
