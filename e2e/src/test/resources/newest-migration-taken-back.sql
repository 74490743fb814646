-- Takes back V11, so that a database looks as if an earlier version had made it.
drop table piece_life;
drop function piece_urgency;
alter table bench_test_revision drop column in_short;
drop function bench_test_in_short;
drop trigger piece_changed on piece;
drop trigger outing_changed on outing;
drop trigger bench_test_noted on bench_test_revision;
drop trigger bench_test_removed on bench_test;
drop function piece_is_touched, piece_of_outing_is_touched, pieces_of_test_are_touched, pieces_of_removed_test_are_touched;
alter table piece drop column touched;
delete from flyway_schema_history where version = '11';
