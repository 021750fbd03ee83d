export { WhatTurnedOut } from "./WhatTurnedOut";
export { Chances } from "./CalibrationView";
export { Fetched } from "./Fetched";
