export { SettledPage } from './settled';
export { SettingsScreen } from './settings-screen';
