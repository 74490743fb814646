package org.eskiz.server.operator;

import java.time.Clock;
import java.time.Instant;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.NotAllowedException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Keeps how the operator likes to work, and what holds for all of their workshop. */
@Service
public class SettingsService {

    /** Of taste, each operator's own; all others are of fact and hold for the whole workshop. */
    private static final Set<String> TASTE = Set.of(
            "reading",
            "lengths",
            "temperatures",
            "flatJointLossDb",
            "licencePowerW",
            "preference",
            "palette",
            "letterShortcuts",
            "demoHidden",
            "ledgerColumns");

    /** Of fact too, but part of a day's work with cables. */
    private static final String PRICES = "ownPrices";

    private static final String VERSION = "version";

    private final WorkshopSettingsRepository facts;
    private final OperatorSettingsRepository tastes;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    SettingsService(
            WorkshopSettingsRepository facts,
            OperatorSettingsRepository tastes,
            WorkshopService workshops,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.facts = facts;
        this.tastes = tastes;
        this.workshops = workshops;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    /** How they like to work now; a setting that is newer than what was stored stands at its default. */
    public Settings get() {
        AtWork now = workshops.atWork();
        StoredSettings stored = facts.stored(now.workshop(), now.operator());
        if (stored.getVersion() == 0) {
            return Settings.DEFAULTS;
        }
        ObjectNode all = json.valueToTree(Settings.DEFAULTS);
        Stream.of(stored.getFacts(), stored.getTaste())
                .filter(Objects::nonNull)
                .forEach(part -> all.setAll((ObjectNode) json.readTree(part)));
        Settings settings = json.treeToValue(all, Settings.class).atVersion(stored.getVersion());
        return now.onlyPlan().isEmpty() ? settings : settings.forVisitors();
    }

    /**
     * Replaces the settings.
     *
     * @throws ConflictException when they were changed since they were read
     * @throws NotAllowedException when they change what holds for all and are not for them to change
     */
    Settings save(Settings changed) {
        ValidationErrors.in(changed).throwIfAny();
        return store.change(() -> saveOver(changed), () -> conflict(changed));
    }

    /** Puts settings in the place of those that stand, whichever they are. */
    public void replace(Settings others) {
        save(others.atVersion(get().version()));
    }

    private Settings saveOver(Settings changed) {
        facts.hold(workshops.atWork().operator());
        Settings now = get();
        if (now.version() != changed.version()) {
            throw conflict(changed);
        }
        ObjectNode facts = part(changed, false);
        ObjectNode standing = part(now, false);
        boolean isOfFact = !standing.equals(facts);
        if (isOfFact) {
            requireAllowed(standing, facts);
            saveFacts(facts);
        }
        ObjectNode taste = part(changed, true);
        if (!isOfFact || !part(now, true).equals(taste)) {
            saveTaste(taste);
        }
        return get();
    }

    private void requireAllowed(ObjectNode standing, ObjectNode facts) {
        Role role = workshops.atWork().role();
        boolean isPricesOnly =
                standing.deepCopy().without(PRICES).equals(facts.deepCopy().without(PRICES));
        if (!role.covers(isPricesOnly ? Role.MEMBER : Role.KEEPER)) {
            throw new NotAllowedException(
                    isPricesOnly
                            ? "prices are for members of the workshop to change"
                            : "what holds for all of the workshop is for its keepers to change; how you like to work is yours");
        }
    }

    private ObjectNode part(Settings settings, boolean ofTaste) {
        ObjectNode part = json.valueToTree(settings);
        part.remove(VERSION);
        part.remove(part.propertyNames().stream()
                .filter(name -> TASTE.contains(name) != ofTaste)
                .toList());
        return part;
    }

    private void saveFacts(ObjectNode document) {
        UUID workshop = workshops.current();
        WorkshopSettingsEntity entity = facts.findById(workshop).orElseGet(() -> new WorkshopSettingsEntity(workshop));
        entity.document = json.writeValueAsString(document);
        entity.updatedAt = Instant.now(clock);
        facts.saveAndFlush(entity);
    }

    private void saveTaste(ObjectNode document) {
        UUID operator = workshops.atWork().operator();
        OperatorSettingsEntity entity = tastes.findById(operator).orElseGet(() -> new OperatorSettingsEntity(operator));
        entity.document = json.writeValueAsString(document);
        entity.updatedAt = Instant.now(clock);
        tastes.saveAndFlush(entity);
    }

    private ConflictException conflict(Settings changed) {
        return new ConflictException(
                "the settings were changed meanwhile: you started from version " + changed.version(), get());
    }
}
