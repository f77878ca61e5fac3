export { errorsOfTeacher, type TeacherErrors } from './own-error';
export * from './results';
export * from './steer';
