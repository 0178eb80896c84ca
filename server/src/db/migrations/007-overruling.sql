-- Any mark can be overruled: for one answer or for all equal ones, with points given by hand and a reason.

alter table ruling
  -- Both set: the ruling is on this one answer only.
  add column student_id uuid references student,
  add column station_id uuid references station,
  -- Points by part of the answer, where they were given by hand.
  add column points jsonb,
  add column reason text,
  add check ((student_id is null) = (station_id is null));
