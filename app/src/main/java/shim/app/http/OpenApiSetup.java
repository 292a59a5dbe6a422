package shim.app.http;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Contact;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;

/** The API's own description; the front end's types are made from it. */
@Configuration
class OpenApiSetup {
  static {
    SpringDocUtils.getConfig()
        .replaceWithSchema(
            JsonNode.class, new ObjectSchema().description("a plan as it stood when it began"));
  }

  @Bean
  OpenAPI description() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Shim")
                .version("1")
                .contact(new Contact().name("Whoever runs this Shim"))
                .description(
                    "Lengths in inch, loads in lbf, losses as shares, angles in degrees of crank rotation, running in engine"
                        + " hours, temperatures in °F. The calls under /api/calc keep nothing:"
                        + " check Shim's arithmetic with your own numbers."));
  }

  /** The document must not name the port it was read from. */
  @Bean
  OpenApiCustomizer noServer() {
    return api ->
        api.setServers(List.of(new Server().url("/").description("the Shim that answers")));
  }

  /** A record component is required unless it says it may be missing. */
  @Bean
  ModelConverter requiredUnlessNullable() {
    return new RequiredUnlessNullable();
  }

  /** The name a schema is kept under, from the place that refers to it. */
  static String name(Schema<?> reference) {
    return reference.get$ref().substring(reference.get$ref().lastIndexOf('/') + 1);
  }

  private static final class RequiredUnlessNullable implements ModelConverter {
    private final Map<String, Class<?>> named = new ConcurrentHashMap<>();

    @Override
    public @Nullable Schema<?> resolve(
        AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
      Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
      JavaType java = Json.mapper().constructType(type.getType());
      if (java.getRawClass().isRecord()) {
        if (schema != null && schema.get$ref() != null) {
          requireOnlyOne(name(schema), java.getRawClass());
        }
        Schema<?> defined = schema == null ? null : defined(schema, context);
        if (defined != null) {
          Arrays.stream(java.getRawClass().getRecordComponents())
              .filter(c -> !mayBeMissing(c))
              .map(RecordComponent::getName)
              .filter(
                  n -> defined.getProperties() != null && defined.getProperties().containsKey(n))
              .filter(n -> defined.getRequired() == null || !defined.getRequired().contains(n))
              .forEach(defined::addRequiredItem);
        }
      }
      return schema;
    }

    private static @Nullable Schema<?> defined(Schema<?> schema, ModelConverterContext context) {
      if (schema.get$ref() == null) {
        return schema;
      }
      return context.getDefinedModels().get(name(schema));
    }

    /** Of two records of one name the document would keep one and describe it as the other too. */
    private void requireOnlyOne(String name, Class<?> type) {
      Class<?> known = named.putIfAbsent(name, type);
      if (known != null && known != type) {
        throw new IllegalStateException(
            name + " is two records in the API: " + known.getName() + " and " + type.getName());
      }
    }

    private static boolean mayBeMissing(RecordComponent c) {
      return c.getAnnotatedType().isAnnotationPresent(Nullable.class)
          || c.getType() == java.util.Optional.class;
    }
  }
}
