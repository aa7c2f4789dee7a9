export { SettledPage, useSettings } from './settled';
export { SettingsScreen } from './settings-screen';
