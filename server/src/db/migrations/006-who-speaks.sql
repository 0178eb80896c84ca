-- Who gave a response is said by the server, never by the device that sends it. Until now the device named "instructor" outweighed all
-- others, and a phone could call itself that.

alter table response add column by text not null default 'student' check (by in ('student', 'paper', 'instructor'));

-- What staff entered has the account that entered it; everything else came from a student, whatever its device called itself.
alter table response disable trigger response_is_append_only;
update response set by = case when device = 'instructor' then 'instructor' else 'paper' end where entered_by is not null;
alter table response enable trigger response_is_append_only;

alter table response alter column by drop default;
