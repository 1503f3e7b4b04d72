/** What may be sent for classes and students, checked before anything is stored. */
import { array, boolean, number, object, string } from 'yup';
import { saying, words } from '../validation';

const student = {
  firstName: words().max(40),
  initial: words().max(2),
  leftHanded: boolean(),
  needs: words().max(300, saying('class.needsLong')),
  seat: words().max(20, saying('class.placeLong')),
  table: words().max(20, saying('class.placeLong')),
};

const newStudent = object({
  ...student,
  firstName: student.firstName.required(saying('class.firstName')),
  initial: student.initial.defined().default(''),
});

const list = () => array(newStudent.required()).max(60, saying('most.students'));

export const classSchema = object({
  name: words().required(saying('class.name')).max(80),
  school: words().max(120).defined().default(''),
  students: list().defined().default([]),
});

export const classChangeSchema = object({
  version: number().integer().required(),
  name: words().min(1, saying('class.name')).max(80),
  school: words().max(120),
  archived: boolean(),
});

/** More students, or the order of those there are. */
export const rosterSchema = object({ students: list(), order: array(string().required()).max(60) });

export const nextYearSchema = object({ name: words().required(saying('class.name')).max(80) });

export const studentChangeSchema = object({
  version: number().integer().required(),
  ...student,
  firstName: student.firstName.min(1, saying('class.firstName')),
  left: boolean(),
  classId: string(),
});
