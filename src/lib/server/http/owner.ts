/** The teacher whose data a query reads or changes, and their studio. */
export interface Owner {
	studioId: string;
	teacherId: string;
}
