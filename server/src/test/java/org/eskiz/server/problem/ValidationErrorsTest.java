package org.eskiz.server.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.junit.jupiter.api.Test;

class ValidationErrorsTest {

    record Part(
            @Within(what = "length in m", min = 0, max = 10) Double lengthM) {}

    record Whole(
            @NotNull(message = "must be given") String name,
            @Valid @JsonUnwrapped Part flat,
            @Valid Part nested,
            List<@Valid Part> many) {}

    private static final Part TOO_LONG = new Part(11.0);

    @Test
    void everythingThatIsWrongIsToldAtOnce() {
        assertThat(errors(new Whole(null, TOO_LONG, TOO_LONG, List.of(new Part(1.0), TOO_LONG))))
                .extracting(FieldError::path)
                .containsExactlyInAnyOrder("name", "lengthM", "nested.lengthM", "many[1].lengthM");
    }

    @Test
    void theMessageSaysWhatWasFoundAndWhatIsAllowed() {
        assertThat(errors(new Whole("x", TOO_LONG, null, null)))
                .singleElement()
                .satisfies(e ->
                        assertThat(e.message()).contains("0").contains("10").contains("11"));
    }

    @Test
    void nothingWrongIsNothingThrown() {
        ValidationErrors none = ValidationErrors.in(new Whole("x", new Part(5.0), null, List.of()));
        assertThat(none.isEmpty()).isTrue();
        assertThatCode(none::throwIfAny).doesNotThrowAnyException();
    }

    @Test
    void whatIsBelowAPartStandsUnderItsPath() {
        ValidationErrors all = ValidationErrors.none();
        all.below("run[2]").below("cable").add("lengthM", "must be given");
        all.below("bands").check(TOO_LONG, "[0]");
        assertThat(thrown(all))
                .extracting(FieldError::path)
                .containsExactly("run[2].cable.lengthM", "bands.[0].lengthM");
    }

    @Test
    void aStepThatRefusesItsValueIsAFaultOfThatField() {
        ValidationErrors all = ValidationErrors.none();
        assertThat(all.<Integer>trying("count", () -> 7)).isEqualTo(7);
        assertThat(all.<Integer>trying("count", () -> {
                    throw new IllegalArgumentException("must be odd");
                }))
                .isNull();
        assertThat(thrown(all)).containsExactly(new FieldError("count", "must be odd"));
    }

    private static List<FieldError> errors(Object request) {
        return thrown(ValidationErrors.in(request));
    }

    private static List<FieldError> thrown(ValidationErrors errors) {
        return catchThrowableOfType(InvalidRequestException.class, errors::throwIfAny)
                .errors();
    }
}
