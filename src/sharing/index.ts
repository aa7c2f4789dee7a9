export { DeviceBook, type ListedDevice } from './devices';
export { makeGate } from './gate';
export { Pairing } from './pairing';
export { endShared, sharedNow, tellShared } from './shared-now';
