-- What the bell of a quiz has done so far, by the server's clock: phones follow it. Null until it rings.
alter table quiz add column bell jsonb;

-- What is known of the phones of a quiz beside the answers: which phone a student answered from, and how far its clock was off, seconds.
-- One phone under two students was lent; one student under two phones has lent the code, or changed the phone.
create table phone (
  quiz_id    uuid not null references quiz on delete cascade,
  student_id uuid not null references student on delete cascade,
  phone      text not null,
  off        integer,
  last_at    timestamptz not null,
  primary key (quiz_id, student_id, phone)
);
