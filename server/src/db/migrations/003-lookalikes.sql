-- What an instructor says of lookalikes: the sure way between two taxa, rules of thumb, and keys kept by name.

alter table record_version drop constraint record_version_kind_check;
alter table record_version add constraint record_version_kind_check
  check (kind in ('reconciliation', 'character', 'range', 'sheet', 'photo', 'pair', 'rule', 'key'));
