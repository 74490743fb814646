package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cable types of the operator's own. What was once said of one is kept: every change is a new revision. */
@Service
public class OwnCableService {

    private final CableTypeRepository types;
    private final CableTypeRevisionRepository revisions;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final Clock clock;

    OwnCableService(
            CableTypeRepository types,
            CableTypeRevisionRepository revisions,
            WorkshopService workshops,
            IdempotentStore store,
            Clock clock) {
        this.types = types;
        this.revisions = revisions;
        this.workshops = workshops;
        this.store = store;
        this.clock = clock;
    }

    /** Stores a new type and tells its key; sent again under a key of the client's, it answers what is stored. */
    String createOnce(CableTypeRequest request) {
        checkedNew(request).throwIfAny();
        return store.createOrRepeat(() -> createdAlready(request), () -> insert(request));
    }

    private Optional<String> createdAlready(CableTypeRequest request) {
        Optional<CableTypeEntity> known = request.key() == null ? Optional.empty() : find(request.key());
        if (known.isPresent() && !saysTheSame(known.get(), request)) {
            throw taken(request.key());
        }
        return known.map(type -> type.key);
    }

    private boolean saysTheSame(CableTypeEntity type, CableTypeRequest request) {
        return type.workshopId != null && RevisionMapper.facts(newest(type)).equals(facts(request));
    }

    /** Stores a new type within the caller's transaction, and tells its key. */
    @Transactional
    public String create(CableTypeRequest request) {
        checkedNew(request).throwIfAny();
        if (request.key() != null && find(request.key()).isPresent()) {
            throw taken(request.key());
        }
        return insert(request);
    }

    private String insert(CableTypeRequest request) {
        String key = request.key() == null
                ? Keys.free(request.name(), "cable", taken -> find(taken).isPresent())
                : request.key();
        Instant now = Instant.now(clock);
        CableTypeEntity type = types.save(CableTypeEntity.own(workshops.current(), key, types.lastPosition() + 1, now));
        revisions.save(CableTypeRevisionEntity.of(request).placed(type, 1, now));
        types.flush();
        return key;
    }

    private static ValidationErrors checkedNew(CableTypeRequest request) {
        ValidationErrors errors = checked(request);
        if (request.key() != null && !Keys.isKey(request.key())) {
            errors.add("key", notAKey(request.key()));
        }
        return errors;
    }

    private static InvalidRequestException taken(String key) {
        return new InvalidRequestException("key", "the key \"" + key + "\" is taken");
    }

    /**
     * Says something else of a type; saying the same again changes nothing.
     *
     * @throws ConflictException when it was changed since it was looked at
     */
    String change(String key, CableTypeRequest request) {
        return store.change(() -> revise(key, request), () -> changed(request, newest(own(key))));
    }

    /** The same within the caller's transaction. */
    @Transactional
    String revise(String key, CableTypeRequest request) {
        checked(request).throwIfAny();
        CableTypeEntity type = own(key);
        CableTypeRevisionEntity newest = newest(type);
        if (request.revision() != null && request.revision() != newest.number) {
            throw changed(request, newest);
        }
        CableTypeRevisionEntity revised = CableTypeRevisionEntity.of(request);
        if (!RevisionMapper.facts(newest).equals(RevisionMapper.facts(revised))) {
            revisions.save(revised.placed(type, newest.number + 1, Instant.now(clock)));
            types.flush();
        }
        return key;
    }

    private CableTypeRevisionEntity newest(CableTypeEntity type) {
        return revisions.findFirstByTypeOrderByNumberDesc(type).orElseThrow();
    }

    private static ConflictException changed(CableTypeRequest request, CableTypeRevisionEntity newest) {
        return new ConflictException(
                String.format(
                        Locale.ROOT,
                        "the cable type was changed meanwhile: you started from revision %s, it is at revision %d now",
                        requireNonNullElse(request.revision(), newest.number - 1),
                        newest.number),
                RevisionMapper.read(newest).facts());
    }

    /** Says again what an earlier revision said. */
    @Transactional
    void goBackTo(String key, int revision) {
        CableTypeEntity type = own(key);
        CableTypeRevisionEntity newest = newest(type);
        CableTypeRevisionEntity earlier =
                revisions.findByTypeAndNumber(type, revision).orElseThrow();
        if (!RevisionMapper.facts(newest).equals(RevisionMapper.facts(earlier))) {
            CableTypeRevisionEntity again =
                    CableTypeRevisionEntity.of(CableTypeRequest.of(RevisionMapper.read(earlier)));
            revisions.save(again.placed(type, newest.number + 1, Instant.now(clock)));
            types.flush();
        }
    }

    /** What a type would say, if it were stored. */
    static CableType.Facts facts(CableTypeRequest request) {
        return RevisionMapper.facts(CableTypeRevisionEntity.of(request));
    }

    /** The first thing that is wrong with a type, in a sentence; empty when it can be stored. */
    static Optional<String> faultIn(CableTypeRequest request) {
        try {
            checkedNew(request).throwIfAny();
            return Optional.empty();
        } catch (InvalidRequestException e) {
            return Optional.of(
                    e.errors().get(0).path() + " " + e.errors().get(0).message());
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
            types.addFavourite(workshops.current(), type);
        } else {
            types.removeFavourite(workshops.current(), type);
        }
        return key;
    }

    private CableTypeEntity own(String key) {
        Optional<CableTypeEntity> found = types.findByKeyAndWorkshopId(key, workshops.current());
        if (found.isEmpty() && types.findByKeyAndWorkshopIdIsNull(key).isPresent()) {
            throw new InvalidRequestException(
                    "key", "\"" + key + "\" came with Eskiz and stays as it is; copy it and change the copy");
        }
        return found.orElseThrow(() -> new NotFoundException("cable type", key));
    }

    private Optional<CableTypeEntity> find(String key) {
        return types.findByKeyAndWorkshopIdIsNull(key).or(() -> types.findByKeyAndWorkshopId(key, workshops.current()));
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
