package org.eskiz.server.web;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.JsonSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.annotation.Annotation;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the description of the interface says beyond what can be read from the code: its name, and our own ranges. */
@Configuration(proxyBeanMethods = false)
class ApiDescription {

    private static final Pattern ANSWER = Pattern.compile(".*(Response|Summary)|Connector|Settings");

    @Bean
    OpenAPI openApi() {
        return new OpenAPI()
                .info(new Info()
                        .title("Eskiz")
                        .version("1")
                        .description("Plans a feed line run. Units are in the names; errors are problem+json."))
                .servers(List.of(new Server().url("/")));
    }

    /** Bounds of {@link Within} and lengths of {@link PlainText}, so that a client can know them without trying. */
    @Bean
    @SuppressWarnings("rawtypes") // the customizer's own signature
    PropertyCustomizer ranges() {
        return (schema, type) -> {
            Annotation[] annotations = type.getCtxAnnotations() == null ? new Annotation[0] : type.getCtxAnnotations();
            for (Annotation annotation : annotations) {
                if (annotation instanceof Within within) {
                    schema.minimum(BigDecimal.valueOf(within.min())).maximum(BigDecimal.valueOf(within.max()));
                } else if (annotation instanceof PlainText text) {
                    schema.maxLength(text.max());
                }
            }
            return schema;
        };
    }

    /** What may be null says so: components of records, and of the groups that are flat in them. */
    @Bean
    OpenApiCustomizer nullability() {
        Map<String, Class<?>> records = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("org.eskiz.server").stream()
                        .filter(c -> c.isRecord() && !c.isAnonymousClass())
                        .map(JavaClass::reflect)
                        .collect(Collectors.toMap(ApiDescription::schemaName, c -> c, (a, b) -> a));
        return api -> api.getComponents().getSchemas().forEach((name, schema) -> {
            if (records.containsKey(name) && schema.getProperties() != null) {
                markNullable(records.get(name), schema);
            }
        });
    }

    private static String schemaName(Class<?> of) {
        var named = of.getAnnotation(io.swagger.v3.oas.annotations.media.Schema.class);
        return named == null || named.name().isEmpty() ? of.getSimpleName() : named.name();
    }

    @SuppressWarnings({"rawtypes", "unchecked"}) // the description's own signatures
    private static void markNullable(Class<?> of, Schema schema) {
        for (RecordComponent part : of.getRecordComponents()) {
            if (part.getAccessor().isAnnotationPresent(JsonUnwrapped.class)) {
                markNullable(part.getType(), schema);
            } else if (part.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                schema.getProperties().computeIfPresent(part.getName(), (field, kind) -> orNull((Schema) kind));
            }
        }
    }

    @SuppressWarnings({"rawtypes", "unchecked"}) // the description's own signatures
    private static Schema<?> orNull(Schema<?> schema) {
        if (schema.get$ref() != null) {
            Schema either = new JsonSchema().description(schema.getDescription());
            schema.setDescription(null);
            return either.oneOf(List.of(schema, new JsonSchema().types(Set.of("null"))));
        }
        Set<String> types =
                new LinkedHashSet<>(schema.getTypes() == null ? Set.of(schema.getType()) : schema.getTypes());
        types.add("null");
        schema.setTypes(types);
        if (schema.getEnum() != null) {
            schema.getEnum().add(null);
        }
        return schema;
    }

    /** An SWR without limit is null; the customizer of properties is asked before their alternatives are known. */
    @Bean
    @SuppressWarnings({"rawtypes", "unchecked"}) // the description's own signatures
    OpenApiCustomizer swrMayBeWithoutLimit() {
        return api -> {
            Schema place = api.getComponents().getSchemas().get("PlaceResponse");
            Schema swr = (Schema) place.getProperties().get("swr");
            List<Schema> kinds = new ArrayList<>(swr.getOneOf());
            kinds.add(new JsonSchema().types(Set.of("null")));
            swr.setOneOf(kinds);
        };
    }

    /** Answers are whole: what may be missing in them is there as null, but for what says that it is left out. */
    @Bean
    @SuppressWarnings({"rawtypes", "unchecked"}) // the description's own signatures
    OpenApiCustomizer answersAreWhole() {
        return api -> api.getComponents().getSchemas().forEach((name, schema) -> {
            if (ANSWER.matcher(name).matches() && schema.getProperties() != null) {
                Map<String, Schema> properties = schema.getProperties();
                Set<String> always = new TreeSet<>(properties.keySet());
                always.removeIf(property -> isLeftOut(properties.get(property)));
                schema.setRequired(List.copyOf(always));
            }
        });
    }

    private static boolean isLeftOut(Schema<?> property) {
        return property.getDescription() != null && property.getDescription().startsWith("left out");
    }
}
