-- A phone asks for the answers of one student: of all answers of a term these are few.
create index response_by_student on response (student_id);
