/** Names the device to Evarn, which lets one do less than its own machine; never taken from outside. */
export const DEVICE_HEADER = 'x-evarn-device';
