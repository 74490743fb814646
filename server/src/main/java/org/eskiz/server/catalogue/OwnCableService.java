package org.eskiz.server.catalogue;

import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.operator.OperatorService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cable types of the operator's own. What was once said of one is kept: every change is a new revision. */
@Service
public class OwnCableService {

    private final CableTypeRepository types;
    private final CableTypeRevisionRepository revisions;
    private final OperatorService operators;
    private final Clock clock;

    OwnCableService(
            CableTypeRepository types, CableTypeRevisionRepository revisions, OperatorService operators, Clock clock) {
        this.types = types;
        this.revisions = revisions;
        this.operators = operators;
        this.clock = clock;
    }

    /** Stores a new type and tells its key. */
    @Transactional
    public String create(CableTypeRequest request) {
        ValidationErrors errors = checked(request);
        if (request.name() == null) {
            errors.throwIfAny();
        }
        String key = request.key() == null
                ? Keys.free(request.name(), "cable", taken -> find(taken).isPresent())
                : request.key();
        if (!Keys.isKey(key)) {
            errors.add("key", notAKey(key));
        } else if (find(key).isPresent()) {
            errors.add("key", "the key \"" + key + "\" is taken");
        }
        errors.throwIfAny();
        Instant now = Instant.now(clock);
        CableTypeEntity type = types.save(CableTypeEntity.own(operators.current(), key, types.lastPosition() + 1, now));
        revisions.save(CableTypeRevisionEntity.of(request).placed(type, 1, now));
        return key;
    }

    /**
     * Says something else of a type; saying the same again changes nothing.
     *
     * @throws ConflictException when it was changed since it was looked at
     */
    @Transactional
    String revise(String key, CableTypeRequest request) {
        checked(request).throwIfAny();
        CableTypeEntity type = own(key);
        CableTypeRevisionEntity newest =
                revisions.findFirstByTypeOrderByNumberDesc(type).orElseThrow();
        if (request.revision() != null && request.revision() != newest.number) {
            throw new ConflictException(
                    String.format(
                            Locale.ROOT,
                            "the cable type was changed meanwhile: you started from revision %d, it is at revision %d now",
                            request.revision(),
                            newest.number),
                    RevisionMapper.read(newest).facts());
        }
        CableTypeRevisionEntity said = CableTypeRevisionEntity.of(request);
        if (!RevisionMapper.facts(newest).equals(RevisionMapper.facts(said))) {
            revisions.save(said.placed(type, newest.number + 1, Instant.now(clock)));
        }
        return key;
    }

    /** Says again what an earlier revision said. */
    @Transactional
    void goBackTo(String key, int revision) {
        CableTypeEntity type = own(key);
        CableTypeRevisionEntity newest =
                revisions.findFirstByTypeOrderByNumberDesc(type).orElseThrow();
        CableTypeRevisionEntity earlier =
                revisions.findByTypeAndNumber(type, revision).orElseThrow();
        if (!RevisionMapper.facts(newest).equals(RevisionMapper.facts(earlier))) {
            CableTypeRevisionEntity again =
                    CableTypeRevisionEntity.of(CableTypeRequest.of(RevisionMapper.read(earlier)));
            revisions.save(again.placed(type, newest.number + 1, Instant.now(clock)));
        }
    }

    /** What was stored so far is there for whoever asks the database past Hibernate. */
    void flush() {
        types.flush();
    }

    /** What a type would say, if it were stored. */
    static CableType.Facts facts(CableTypeRequest said) {
        return RevisionMapper.facts(CableTypeRevisionEntity.of(said));
    }

    /** The first thing that is wrong with a type, in a sentence; empty when it can be stored. */
    static Optional<String> faultIn(CableTypeRequest said) {
        try {
            checked(said).throwIfAny();
            requireKey(said.key());
            return Optional.empty();
        } catch (InvalidRequestException e) {
            return Optional.of(
                    e.errors().get(0).path() + " " + e.errors().get(0).message());
        }
    }

    private static void requireKey(String key) {
        if (key != null && !Keys.isKey(key)) {
            throw new InvalidRequestException("key", notAKey(key));
        }
    }

    private static String notAKey(String key) {
        return "must be lower-case letters, digits and single hyphens, not \"" + key + "\"";
    }

    @Transactional
    String retire(String key, boolean retired) {
        own(key).retiredAt = retired ? Instant.now(clock) : null;
        return key;
    }

    @Transactional
    String favour(String key, boolean favourite) {
        UUID type = find(key).orElseThrow(() -> new NotFoundException("cable type", key)).id;
        if (favourite) {
            types.addFavourite(operators.current(), type);
        } else {
            types.removeFavourite(operators.current(), type);
        }
        return key;
    }

    private CableTypeEntity own(String key) {
        Optional<CableTypeEntity> found = types.findByKeyAndOperatorId(key, operators.current());
        if (found.isEmpty() && types.findByKeyAndOperatorIdIsNull(key).isPresent()) {
            throw new InvalidRequestException(
                    "key", "\"" + key + "\" came with Eskiz and stays as it is; copy it and change the copy");
        }
        return found.orElseThrow(() -> new NotFoundException("cable type", key));
    }

    private Optional<CableTypeEntity> find(String key) {
        return types.findByKeyAndOperatorIdIsNull(key).or(() -> types.findByKeyAndOperatorId(key, operators.current()));
    }

    private static ValidationErrors checked(CableTypeRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if ((request.price().pricePerM() == null) != (request.price().priceCurrency() == null)) {
            errors.add("priceCurrency", "a price and its currency go together");
        }
        Double maxOperatingC = request.mechanics().maxOperatingC();
        double least = Math.max(AveragePower.USUAL_AMBIENT_C, request.ratings().ratedAtC());
        if (request.ratings().averagePowerW() != null && maxOperatingC != null && maxOperatingC <= least) {
            errors.add(
                    "maxOperatingC",
                    "must be above %s °C for the rating to mean anything, not %s".formatted(least, maxOperatingC));
        }
        if (request.points() != null
                && request.points().stream()
                                .filter(p -> p != null)
                                .map(CableTypeRequest.SheetPointRequest::frequencyMHz)
                                .distinct()
                                .count()
                        < request.points().stream().filter(p -> p != null).count()) {
            errors.add("points", "must not have one frequency twice");
        }
        return errors;
    }
}
