export { WhatTurnedOut } from "./WhatTurnedOut";
