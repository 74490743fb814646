package org.eskiz.server.operator.signin;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.operator.signin.OwnRecordResponse.DoneResponse;
import org.eskiz.server.operator.signin.OwnRecordResponse.MembershipResponse;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.PublicAddress;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is stored about a person, for that person: shown whole, and deleted when they say so. */
@Service
class OwnRecordService {

    /** What stands where the name of somebody stood who left. */
    private static final String GONE = "somebody who left";

    private final WorkshopService workshops;
    private final OperatorRepository operators;
    private final MembershipRepository memberships;
    private final OneTimeLinkRepository links;
    private final SettingsService settings;
    private final SessionsOfOperator sessions;
    private final PublicAddress address;
    private final JdbcTemplate sql;
    private final Clock clock;

    OwnRecordService(
            WorkshopService workshops,
            OperatorRepository operators,
            MembershipRepository memberships,
            OneTimeLinkRepository links,
            SettingsService settings,
            SessionsOfOperator sessions,
            PublicAddress address,
            JdbcTemplate sql,
            Clock clock) {
        this.workshops = workshops;
        this.operators = operators;
        this.memberships = memberships;
        this.links = links;
        this.settings = settings;
        this.sessions = sessions;
        this.address = address;
        this.sql = sql;
        this.clock = clock;
    }

    OwnRecordResponse record(String here) {
        OperatorEntity me = me();
        return new OwnRecordResponse(
                me.id,
                me.name,
                me.createdAt,
                me.password != null,
                sql.queryForList(
                        "select name from passkey where operator_id = ? order by made_at", String.class, me.id),
                memberships.placesOf(me.id).stream()
                        .map(p -> new MembershipResponse(p.workshop(), p.workshopName(), p.role()))
                        .toList(),
                settings.get(),
                sessions.of(me.id, here),
                done(me.id));
    }

    private List<DoneResponse> done(UUID me) {
        return sql.query(
                "select kind, count(*) from happening where done_by = ? and workshop_id = ? group by kind order by kind",
                (row, n) -> new DoneResponse(row.getString(1), row.getLong(2)),
                me,
                workshops.current());
    }

    /**
     * Leaves for good: name, password, taste and sessions go, what was made stays with the workshops and says that whoever made it
     * has left.
     *
     * @throws InvalidRequestException where a workshop would be without a keeper
     */
    @Transactional
    public void leave() {
        OperatorEntity me = me();
        if (!address.isOpen()) {
            throw new InvalidRequestException("", "whoever is alone here cannot leave");
        }
        List<UUID> workshopsOfMe =
                memberships.placesOf(me.id).stream().map(p -> p.workshop()).toList();
        for (UUID workshop : workshopsOfMe) {
            List<MembershipEntity> all = memberships.findByWorkshopIdOrderByOperatorId(workshop);
            MembershipEntity mine = all.stream()
                    .filter(m -> m.operatorId.equals(me.id))
                    .findFirst()
                    .orElseThrow();
            if (all.size() > 1 && all.stream().noneMatch(m -> m != mine && m.role == Role.KEEPER)) {
                throw new InvalidRequestException(
                        "",
                        "you are the last keeper of \"" + workshops.nameOf(workshop)
                                + "\"; make somebody else one first");
            }
            memberships.delete(mine);
        }
        links.takeBackAllOf(me.id);
        sql.update("delete from operator_settings where operator_id = ?", me.id);
        operators.forgetPasskeysOf(me.id);
        me.name = GONE;
        me.password = null;
        me.closedAt = Instant.now(clock);
        operators.saveAndFlush(me);
        sessions.endOthers(me.id, null);
    }

    private OperatorEntity me() {
        return operators.findById(workshops.atWork().operator()).orElseThrow();
    }
}
