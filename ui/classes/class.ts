/** What the parts of the classes' page are told of a class and of a student. */
export interface StudentView {
  id: string;
  name: string;
  firstName: string;
  initial: string;
  leftHanded: boolean;
  needs: string;
  seat: string;
  table: string;
  left: boolean;
  version: number;
  pieceId: string | null;
}

export interface ClassView {
  id: string;
  name: string;
  school: string;
  archived: boolean;
  version: number;
  students: StudentView[];
}
