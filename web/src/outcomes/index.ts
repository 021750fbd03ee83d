export { WhatTurnedOut } from "./WhatTurnedOut";
export { Chances } from "./CalibrationView";
