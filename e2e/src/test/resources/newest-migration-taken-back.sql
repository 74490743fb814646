-- Takes back V15, so that a database looks as if an earlier version had made it.
drop table plan_visit, plan_share;
drop trigger plan_saved on plan;
drop trigger choice_made on decision;
drop trigger choice_withdrawn on decision_withdrawal;
drop function tell_plan_saved, tell_choice, tell_plan_visited;
delete from flyway_schema_history where version = '15';
