-- Who teaches a course. A course that names nobody is everyone's who teaches here.
create table course_staff (
  course_id  uuid not null references course on delete cascade,
  account_id uuid not null references account,
  role       text not null check (role in ('leads', 'helps')),
  primary key (course_id, account_id)
);
