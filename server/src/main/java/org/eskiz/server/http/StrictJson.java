package org.eskiz.server.http;

import org.springframework.boot.jackson.autoconfigure.JsonFactoryBuilderCustomizer;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactoryBuilder;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;

/** Jackson refuses nothing by default: here it refuses whatever could be read as something that was not meant. */
@Configuration(proxyBeanMethods = false)
class StrictJson {

    @Bean
    JsonFactoryBuilderCustomizer strictFactory() {
        return StrictJson::strict;
    }

    private static void strict(JsonFactoryBuilder factory) {
        factory.enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION);
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
                .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS);
    }
}
