package hightally.app.platform;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Reads JSON strictly: everything given must be known, everything known must be given, and nothing
 * is quietly turned into another type. What is written is exactly a record's components.
 */
@Configuration
class JsonSettings {
  @Bean
  Jackson2ObjectMapperBuilderCustomizer strictJson() {
    return builder ->
        builder
            .postConfigurer(
                mapper -> mapper.setDefaultSetterInfo(JsonSetter.Value.forContentNulls(Nulls.FAIL)))
            .featuresToEnable(
                DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES,
                DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES,
                DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                DeserializationFeature.FAIL_ON_NUMBERS_FOR_ENUMS,
                DeserializationFeature.FAIL_ON_TRAILING_TOKENS,
                JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
            .featuresToDisable(
                DeserializationFeature.ACCEPT_FLOAT_AS_INT,
                MapperFeature.ALLOW_COERCION_OF_SCALARS);
  }
}
