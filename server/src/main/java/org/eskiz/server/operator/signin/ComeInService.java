package org.eskiz.server.operator.signin;

import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.Secrets;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.operator.signin.SignInService.SignedIn;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets in by a one-time link, and lets people change how they come in. */
@Service
class ComeInService {

    /** Where the front end takes a one-time link. */
    static final String PAGE = "/come-in";

    private static final String GIVEN = "must be given";

    private final OneTimeLinkRepository links;
    private final OperatorRepository operators;
    private final MembershipRepository memberships;
    private final WorkshopService workshops;
    private final SessionsOfOperator sessions;
    private final Passwords passwords;
    private final Attempts attempts;
    private final Clock clock;

    ComeInService(
            OneTimeLinkRepository links,
            OperatorRepository operators,
            MembershipRepository memberships,
            WorkshopService workshops,
            SessionsOfOperator sessions,
            Passwords passwords,
            Attempts attempts,
            Clock clock) {
        this.links = links;
        this.operators = operators;
        this.memberships = memberships;
        this.workshops = workshops;
        this.sessions = sessions;
        this.passwords = passwords;
        this.attempts = attempts;
        this.clock = clock;
    }

    /** What a link is good for. */
    InvitationResponse look(SecretRequest request) {
        ValidationErrors.in(request).throwIfAny();
        OneTimeLinkEntity link = links.findByDigestAndUsedAtIsNullAndEndsAtAfter(
                        Secrets.digest(request.secret()), Instant.now(clock))
                .orElseThrow(ComeInService::usedUp);
        Optional<OperatorEntity> person = Optional.ofNullable(link.operatorId).flatMap(operators::findById);
        return new InvitationResponse(
                workshops.nameOf(link.workshopId),
                link.role,
                person.filter(p -> p.password != null).map(p -> p.name).orElse(null),
                link.endsAt);
    }

    private static InvalidRequestException usedUp() {
        return new InvalidRequestException(
                "secret", "must be of a link that was not used and has not ended; ask a keeper for another");
    }

    /** Uses a link up. Somebody who has signed in joins as who they are. */
    @Transactional
    public SignedIn comeIn(ComeInRequest request) {
        ValidationErrors.in(request).throwIfAny();
        Instant now = Instant.now(clock);
        OneTimeLinkEntity link =
                links.toUse(Secrets.digest(request.secret()), now).orElseThrow(ComeInService::usedUp);
        UUID operator =
                link.operatorId != null ? back(link.operatorId, link, request, now) : joined(link, request, now);
        link.usedAt = now;
        links.saveAndFlush(link);
        return new SignedIn(operator, link.workshopId);
    }

    /** Back in, by another password; the first keeper has had neither that nor a name of their own. */
    private UUID back(UUID id, OneTimeLinkEntity link, ComeInRequest request, Instant now) {
        OperatorEntity operator = operators.findById(id).orElseThrow(ComeInService::usedUp);
        if (operator.password == null) {
            operator.name = newName(request.name(), id);
        }
        // the server's own link lets its first operator back in, whatever became of them
        operator.closedAt = null;
        if (!belongs(id, link.workshopId)) {
            memberships.saveAndFlush(MembershipEntity.create(link.workshopId, id, link.role, now));
        }
        operator.password = passwords.hash(given(request.password()), operator.name);
        operators.saveAndFlush(operator);
        // nobody else holds what let them in before
        operators.forgetPasskeysOf(id);
        sessions.endOthers(id, null);
        return id;
    }

    private UUID joined(OneTimeLinkEntity link, ComeInRequest request, Instant now) {
        UUID operator = AtWork.now().map(AtWork::operator).orElseGet(() -> made(request, now));
        if (belongs(operator, link.workshopId)) {
            throw new InvalidRequestException("secret", "must be of a workshop that you do not belong to yet");
        }
        memberships.saveAndFlush(MembershipEntity.create(link.workshopId, operator, link.role, now));
        return operator;
    }

    private boolean belongs(UUID operator, UUID workshop) {
        return memberships.existsById(new MembershipEntity.Key(workshop, operator));
    }

    private UUID made(ComeInRequest request, Instant now) {
        UUID id = UUID.randomUUID();
        OperatorEntity operator = OperatorEntity.create(id, newName(request.name(), id), now);
        operator.password = passwords.hash(given(request.password()), operator.name);
        operators.saveAndFlush(operator);
        return id;
    }

    private static String given(@Nullable String password) {
        if (password == null) {
            throw new InvalidRequestException("password", GIVEN);
        }
        return password;
    }

    private String newName(@Nullable String name, UUID whose) {
        if (name == null || name.isBlank()) {
            throw new InvalidRequestException("name", GIVEN);
        }
        if (operators.named(name.strip()).filter(o -> !o.id.equals(whose)).isPresent()) {
            throw new InvalidRequestException("name", "must be one that nobody else has here");
        }
        return name.strip();
    }

    /** Gives oneself another name. */
    @Transactional
    public void rename(NameRequest request) {
        ValidationErrors.in(request).throwIfAny();
        OperatorEntity me = me();
        me.name = newName(request.name(), me.id);
        operators.saveAndFlush(me);
    }

    /** Gives oneself another password, and signs out everywhere but here. */
    @Transactional
    public void changePassword(PasswordRequest request, String address, String here) {
        ValidationErrors.in(request).throwIfAny();
        OperatorEntity me = me();
        attempts.begin(me.name, address);
        if (!passwords.matches(request.old(), me.password)) {
            throw new InvalidRequestException("old", "is not the password that stands");
        }
        attempts.succeeded(me.name, address);
        me.password = passwords.hash(request.password(), me.name);
        operators.saveAndFlush(me);
        sessions.endOthers(me.id, here);
    }

    private OperatorEntity me() {
        return operators.findById(workshops.atWork().operator()).orElseThrow();
    }
}
