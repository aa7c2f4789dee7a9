export { DeviceBook, type ListedDevice } from './devices';
export { DEVICE_HEADER, makeGate } from './gate';
export { Pairing } from './pairing';
export { endShared, sharedNow, tellShared, type SharedNow } from './shared-now';
