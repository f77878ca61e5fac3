export * from '../auth-schema';
export * from './studio';
export * from './movements';
export * from './plans';
export * from './records';
export * from './requests';
