export { TroubleScreen } from './trouble-screen';
export { BackupList } from './backup-list';
