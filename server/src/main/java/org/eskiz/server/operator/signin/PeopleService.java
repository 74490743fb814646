package org.eskiz.server.operator.signin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.Secrets;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.PublicAddress;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Those who work in a workshop, as its keepers look after them. */
@Service
class PeopleService {

    /** Long enough to be sent by whatever way people reach each other. */
    private static final Duration JOINED_WITHIN = Duration.ofDays(7);

    private static final Duration BACK_WITHIN = Duration.ofDays(1);

    private final WorkshopService workshops;
    private final MembershipRepository memberships;
    private final OneTimeLinkRepository links;
    private final SessionsOfOperator sessions;
    private final PublicAddress address;
    private final Clock clock;

    PeopleService(
            WorkshopService workshops,
            MembershipRepository memberships,
            OneTimeLinkRepository links,
            SessionsOfOperator sessions,
            PublicAddress address,
            Clock clock) {
        this.workshops = workshops;
        this.memberships = memberships;
        this.links = links;
        this.sessions = sessions;
        this.address = address;
        this.clock = clock;
    }

    List<PersonResponse> people() {
        return memberships.peopleOf(workshops.current());
    }

    /** @throws InvalidRequestException where nobody would be left to keep the workshop */
    @Transactional
    public List<PersonResponse> setRole(UUID person, RoleRequest request) {
        ValidationErrors.in(request).throwIfAny();
        List<MembershipEntity> all = memberships.findByWorkshopIdOrderByOperatorId(workshops.current());
        MembershipEntity theirs = among(all, person);
        if (request.role() != Role.KEEPER) {
            requireAnotherKeeper(all, theirs, "role");
        }
        theirs.role = request.role();
        memberships.saveAndFlush(theirs);
        return people();
    }

    /** Lets somebody go, or goes; what they made stays with the workshop. */
    @Transactional
    public void letGo(UUID person) {
        List<MembershipEntity> all = memberships.findByWorkshopIdOrderByOperatorId(workshops.current());
        MembershipEntity theirs = among(all, person);
        requireAnotherKeeper(all, theirs, "id");
        memberships.delete(theirs);
        links.takeBackAllOf(person);
    }

    private static MembershipEntity among(List<MembershipEntity> all, UUID person) {
        return all.stream()
                .filter(m -> m.operatorId.equals(person))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("person", person));
    }

    private static void requireAnotherKeeper(List<MembershipEntity> all, MembershipEntity but, String field) {
        if (all.stream().noneMatch(m -> m != but && m.role == Role.KEEPER)) {
            throw new InvalidRequestException(
                    field, "must leave a keeper to the workshop; make somebody else one first");
        }
    }

    List<LinkResponse> waiting() {
        return links.waiting(workshops.current(), Instant.now(clock));
    }

    /** A link for somebody to join. */
    @Transactional
    public LinkMadeResponse invite(RoleRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return made(request.role(), null, JOINED_WITHIN);
    }

    /** A link that lets somebody back in who has lost their password. */
    @Transactional
    public LinkMadeResponse letBackIn(UUID person) {
        MembershipEntity theirs = among(memberships.findByWorkshopIdOrderByOperatorId(workshops.current()), person);
        requireNoOtherWorkshop(person);
        links.takeBackAllOf(person);
        return made(theirs.role, person, BACK_WITHIN);
    }

    /** Whoever has the link has the account: a keeper of one workshop is not to come into others by it. */
    private void requireNoOtherWorkshop(UUID person) {
        if (memberships.placesOf(person).size() > 1) {
            throw new InvalidRequestException(
                    "id",
                    "must work in this workshop only; somebody who works in several is let back in on the server: ./eskiz open");
        }
    }

    private LinkMadeResponse made(Role role, @Nullable UUID person, Duration within) {
        if (!address.isOpen()) {
            throw new InvalidRequestException(
                    "", "others come in once this server is open to them: ./eskiz open says how");
        }
        AtWork now = workshops.atWork();
        String secret = Secrets.random();
        OneTimeLinkEntity link = new OneTimeLinkEntity(UUID.randomUUID());
        link.digest = Secrets.digest(secret);
        link.workshopId = now.workshop();
        link.role = role;
        link.operatorId = person;
        link.madeBy = now.operator();
        link.madeAt = Instant.now(clock);
        link.endsAt = link.madeAt.plus(within);
        links.saveAndFlush(link);
        return new LinkMadeResponse(address.of(Secrets.link(ComeInService.PAGE, secret)));
    }

    @Transactional
    public void takeBack(UUID link) {
        if (links.takeBack(link, workshops.current()) == 0) {
            throw new NotFoundException("link", link);
        }
    }

    /** Begins another workshop, of which whoever begins it is the keeper. */
    @Transactional
    public void begin(WorkshopRequest request) {
        ValidationErrors.in(request).throwIfAny();
        workshops.begin(request.id(), request.name().strip());
        memberships.saveAndFlush(
                MembershipEntity.create(request.id(), workshops.atWork().operator(), Role.KEEPER, Instant.now(clock)));
    }

    /** Everywhere somebody is signed in. */
    List<OwnSessionResponse> sessions(@Nullable String here) {
        return sessions.of(workshops.atWork().operator(), here);
    }

    void signOut(String session) {
        sessions.end(workshops.atWork().operator(), session);
    }
}
