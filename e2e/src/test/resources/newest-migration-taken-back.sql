-- Takes back V9, so that a database looks as if an earlier version had made it.
alter table piece
    drop constraint piece_earlier_outings_are_whole,
    drop column earlier_outings, drop column earlier_hard_outings, drop column earlier_from, drop column earlier_until;
alter table cable_type_revision drop column within_percent;
delete from flyway_schema_history where version = '9';
