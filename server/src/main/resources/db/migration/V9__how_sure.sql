-- Outings of a piece before they were noted one by one: how many in which span of time.
alter table piece
    add column earlier_outings integer check (earlier_outings > 0),
    add column earlier_hard_outings integer check (earlier_hard_outings between 0 and earlier_outings),
    add column earlier_from date,
    add column earlier_until date check (earlier_until >= earlier_from),
    add constraint piece_earlier_outings_are_whole
        check (num_nonnulls(earlier_outings, earlier_hard_outings, earlier_from, earlier_until) in (0, 4));

-- How far the attenuation of a type may be off what is said of it, where that is known better than by where it comes from.
alter table cable_type_revision add column within_percent double precision check (within_percent > 0 and within_percent <= 90);
