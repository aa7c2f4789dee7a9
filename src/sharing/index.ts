export { DeviceBook, type ListedDevice } from './devices';
export { makeGate, type Certificate } from './gate';
export { Pairing } from './pairing';
export { endShared, sharedNow, tellShared } from './shared-now';
