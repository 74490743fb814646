package org.eskiz.server.problem;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.function.Function;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** Jackson refuses nothing by default: here it refuses whatever could be read as something that was not meant. */
@Configuration(proxyBeanMethods = false)
class StrictJson {

    private static final int LONGEST_DAY = 40;

    @Bean
    JsonFactory strictFactory() {
        return new BoundedNumbers(JsonFactory.builder()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                // a ledger is thousands of numbers
                .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER));
    }

    @Bean
    JsonMapperBuilderCustomizer strictMapper() {
        return StrictJson::strict;
    }

    private static void strict(JsonMapper.Builder mapper) {
        mapper.disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
                .enable(
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                        DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY,
                        DeserializationFeature.FAIL_ON_TRAILING_TOKENS,
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .addModule(new SimpleModule("strict")
                        .addDeserializer(String.class, new TextReading())
                        .addDeserializer(
                                LocalDate.class,
                                new DayReading<>(LocalDate.class, "2026-05-01", LocalDate::parse, day -> day))
                        .addDeserializer(
                                Instant.class,
                                new DayReading<>(
                                        Instant.class,
                                        "2026-05-01T12:00:00Z",
                                        Instant::parse,
                                        at -> at.atOffset(ZoneOffset.UTC).toLocalDate())));
    }

    /** A text that is one: within a flat group Jackson would make {@code "7"} of 7. */
    private static final class TextReading extends StdScalarDeserializer<String> {

        TextReading() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            return parser.hasToken(JsonToken.VALUE_STRING)
                    ? parser.getString()
                    : (String) context.handleUnexpectedToken(handledType(), parser);
        }
    }

    /** A day, or a moment of one, that somebody can mean; years of nine digits can be written and not be stored. */
    private static final class DayReading<T> extends StdScalarDeserializer<T> {

        private final String example;
        private final Function<String, T> parsing;
        private final Function<T, LocalDate> day;

        DayReading(Class<T> type, String example, Function<String, T> parsing, Function<T, LocalDate> day) {
            super(type);
            this.example = example;
            this.parsing = parsing;
            this.day = day;
        }

        @Override
        public T deserialize(JsonParser parser, DeserializationContext context) {
            if (!parser.hasToken(JsonToken.VALUE_STRING)) {
                @SuppressWarnings("unchecked") // the context answers what it was asked for, or throws
                T none = (T) context.handleUnexpectedToken(handledType(), parser);
                return none;
            }
            String text = parser.getString();
            try {
                T read = parsing.apply(text.length() > LONGEST_DAY ? "" : text);
                Days.requireUsual(day.apply(read));
                return read;
            } catch (DateTimeException e) {
                // told below
            }
            String shown = text.length() > LONGEST_DAY ? text.substring(0, LONGEST_DAY) + "…" : text;
            throw InvalidFormatException.from(
                    parser,
                    "must be like %s, from %s to %s, not \"%s\"".formatted(example, Days.FIRST, Days.LAST, shown),
                    text,
                    handledType());
        }
    }
}
