package org.eskiz.server.operator;

import java.time.Clock;
import java.time.Instant;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Keeps how the operator likes to work. */
@Service
public class SettingsService {

    private final SettingsRepository settings;
    private final OperatorService operators;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    SettingsService(
            SettingsRepository settings,
            OperatorService operators,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.settings = settings;
        this.operators = operators;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    /** How they like to work now. */
    public Settings get() {
        return settings.findById(operators.current()).map(this::read).orElse(Settings.DEFAULTS);
    }

    /**
     * Replaces the settings.
     *
     * @throws ConflictException when they were changed since they were read
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
        SettingsEntity entity =
                settings.findById(operators.current()).orElseGet(() -> new SettingsEntity(operators.current()));
        long current = entity.version == null ? 0 : shown(entity);
        if (current != changed.version()) {
            throw conflict(changed);
        }
        ObjectNode document = json.valueToTree(changed);
        document.remove("version");
        entity.document = json.writeValueAsString(document);
        entity.updatedAt = Instant.now(clock);
        return read(settings.saveAndFlush(entity));
    }

    private ConflictException conflict(Settings changed) {
        return new ConflictException(
                "the settings were changed meanwhile: you started from version " + changed.version(), get());
    }

    /** A setting that is newer than what was stored stands at its default. */
    private Settings read(SettingsEntity entity) {
        ObjectNode all = json.valueToTree(Settings.DEFAULTS);
        all.setAll((ObjectNode) json.readTree(entity.document));
        return json.treeToValue(all, Settings.class).atVersion(shown(entity));
    }

    /** Version 0 is what stands before anything is stored, while Hibernate counts the first stored one as 0. */
    private static long shown(SettingsEntity entity) {
        return entity.version + 1;
    }
}
