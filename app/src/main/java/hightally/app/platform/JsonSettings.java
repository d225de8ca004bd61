package hightally.app.platform;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.AnnotationIntrospector;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.AnnotatedMember;
import com.fasterxml.jackson.databind.introspect.NopAnnotationIntrospector;
import hightally.core.quantity.Absentable;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Reads JSON strictly: everything given must be known, everything known must be given, and nothing
 * is quietly turned into another type. Nothing may be null but what may be absent. What is written
 * is exactly a record's components.
 */
@Configuration
class JsonSettings {
  private static final String CALCULATIONS = "hightally.app.calculation";

  @Bean
  Jackson2ObjectMapperBuilderCustomizer strictJson() {
    return builder ->
        builder
            .postConfigurer(
                mapper -> {
                  mapper.setDefaultSetterInfo(JsonSetter.Value.construct(Nulls.FAIL, Nulls.FAIL));
                  mapper.setAnnotationIntrospector(
                      AnnotationIntrospector.pair(
                          mapper.getDeserializationConfig().getAnnotationIntrospector(),
                          new Absent()));
                })
            .featuresToEnable(
                DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES,
                DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES,
                DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                DeserializationFeature.FAIL_ON_NUMBERS_FOR_ENUMS,
                DeserializationFeature.FAIL_ON_TRAILING_TOKENS,
                JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
            .featuresToDisable(
                DeserializationFeature.ACCEPT_FLOAT_AS_INT,
                MapperFeature.ALLOW_COERCION_OF_SCALARS);
  }

  /**
   * What may be absent may be null; so may anything of a calculation, which says what it misses.
   */
  private static final class Absent extends NopAnnotationIntrospector {
    private static final long serialVersionUID = 1;

    @Override
    public JsonSetter.Value findSetterInfo(Annotated member) {
      Absentable absent = member.getAnnotation(Absentable.class);
      if (absent != null && !absent.entries()) {
        return JsonSetter.Value.forValueNulls(Nulls.SET);
      }
      boolean calculated =
          member instanceof AnnotatedMember one
              && one.getDeclaringClass().getPackageName().equals(CALCULATIONS);
      // A number or a yes that is null says itself what it should be.
      return calculated || member.getRawType().isPrimitive()
          ? JsonSetter.Value.forValueNulls(Nulls.SET)
          : JsonSetter.Value.empty();
    }
  }
}
