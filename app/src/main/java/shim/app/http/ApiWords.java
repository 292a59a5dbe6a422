package shim.app.http;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.responses.ApiResponses;
import io.swagger.v3.oas.models.tags.Tag;
import java.math.BigDecimal;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Says in the API's document what its types alone do not: each number's unit and bounds, and with
 * which problems an operation answers. The sentences come from the Javadoc.
 */
@Component
@SuppressWarnings({"rawtypes", "unchecked"}) // the document's own types are raw
class ApiWords implements OpenApiCustomizer {
  private static final String REFUSED = "Refused";
  private static final String PROBLEM = "application/problem+json";
  private static final Pattern LINK = Pattern.compile("\\{@link(?:plain)? +(\\S+?)(?: +([^}]+))?}");
  private static final Pattern CODE = Pattern.compile("</?code>|\\{@code +([^}]*)}");
  private static final Pattern SPACE = Pattern.compile("\\s+");

  /** Every figure entered is held to these, whatever else holds it: see {@link Entries}. */
  private static final BigDecimal MOST = BigDecimal.valueOf((long) Entries.BEYOND_MEASURE);

  private static final Map<String, String> PROBLEMS = problems();

  /** What is given as a file is no JSON. */
  private static final Map<String, String> FILES =
      Map.of(".csv", "text/csv", ".ics", "text/calendar", "/photo", "image/*");

  private final ObjectProvider<ApiUnits> units;
  private final ObjectProvider<ApiExamples> examples;

  ApiWords(ObjectProvider<ApiUnits> units, ObjectProvider<ApiExamples> examples) {
    this.units = units;
    this.examples = examples;
  }

  private static Map<String, String> problems() {
    Map<String, String> all = new LinkedHashMap<>();
    all.put("400", "It could not be read: which field, and what was expected there.");
    all.put("403", "Whoever asks has not brought the key that Shim printed when it started.");
    all.put("404", "Nothing is kept under this id.");
    all.put("409", "Another device changed it meanwhile, or the id belongs to something else.");
    all.put("413", "More than Shim takes at once.");
    all.put("415", "Another kind of content is expected.");
    all.put("422", "It was read and cannot be: each field at fault, in words.");
    all.put("503", "Shim is busy with something that lets nothing else through; try again.");
    all.put("507", "The disk has no room left: nothing was kept.");
    return all;
  }

  @Override
  public void customise(OpenAPI api) {
    Map<String, Schema> schemas = api.getComponents().getSchemas();
    schemas.put(REFUSED, refused());
    schemas.forEach(this::describe);
    entered(api).forEach(name -> bound(schemas.get(name)));
    api.getPaths()
        .forEach((path, item) -> item.readOperationsMap().forEach((way, o) -> tell(path, way, o)));
    for (Tag tag : Objects.requireNonNullElse(api.getTags(), List.<Tag>of())) {
      tag.setName(room(tag.getName()));
      tag.setDescription(plain(tag.getDescription()));
    }
  }

  private static String room(String controller) {
    return controller.replace("-controller", "").replace('-', ' ');
  }

  /** As RFC 9457 has it, with what Shim adds. */
  private static Schema<?> refused() {
    Schema<?> error =
        new ObjectSchema()
            .addProperty("field", new StringSchema().description("path of the field at fault"))
            .addProperty(
                "message",
                new StringSchema().description("what is wrong and what is expected, in words"))
            .required(List.of("field", "message"));
    return new ObjectSchema()
        .description("Why Shim did not do it (RFC 9457).")
        .addProperty(
            "type", new StringSchema().description("a name of the kind of problem, urn:shim:…"))
        .addProperty("title", new StringSchema().description("the status in words"))
        .addProperty(
            "status", new IntegerSchema().description("the status of the answer; a number"))
        .addProperty(
            "detail", new StringSchema().description("what is wrong, in words for a person"))
        .addProperty("instance", new StringSchema().description("the address that was asked"))
        .addProperty(
            "errors", new ArraySchema().items(error).description("one for each field at fault"));
  }

  private void describe(String name, Schema<?> schema) {
    schema.setDescription(plain(schema.getDescription()));
    if (schema.getProperties() == null) {
      return;
    }
    schema
        .getProperties()
        .forEach(
            (field, property) -> {
              property.setDescription(plain(property.getDescription()));
              if (isNumber(property)) {
                units
                    .getObject()
                    .of(name, field)
                    .ifPresent(
                        u -> property.setDescription(withUnit(property.getDescription(), u)));
              }
            });
  }

  private static boolean isNumber(Schema<?> schema) {
    String type = type(one(schema));
    return "number".equals(type) || "integer".equals(type);
  }

  /** What a list holds, or the thing itself. */
  private static Schema<?> one(Schema<?> schema) {
    return schema.getItems() == null ? schema : schema.getItems();
  }

  private static @Nullable String type(Schema<?> schema) {
    return schema.getType() != null
        ? schema.getType()
        : schema.getTypes() == null
            ? null
            : schema.getTypes().stream().filter(t -> !t.equals("null")).findFirst().orElse(null);
  }

  private static String withUnit(@Nullable String words, String unit) {
    if (words == null || words.isBlank()) {
      return unit;
    }
    return words.contains(unit) ? words : words + "; " + unit;
  }

  /** Javadoc as a reader of the document has use for it. */
  private static @Nullable String plain(@Nullable String words) {
    if (words == null) {
      return null;
    }
    String linked =
        LINK.matcher(words).replaceAll(m -> m.group(2) == null ? m.group(1) : m.group(2));
    String coded =
        CODE.matcher(linked).replaceAll(m -> m.group(1) == null ? "`" : "`" + m.group(1) + "`");
    return SPACE.matcher(coded).replaceAll(" ").strip();
  }

  /** The schemas of everything that is sent to Shim, however deep they lie. */
  private static Set<String> entered(OpenAPI api) {
    Set<String> names = new HashSet<>();
    api.getPaths().values().stream()
        .flatMap(p -> p.readOperations().stream())
        .map(Operation::getRequestBody)
        .filter(Objects::nonNull)
        .flatMap(b -> b.getContent().values().stream())
        .forEach(m -> collect(m.getSchema(), api.getComponents().getSchemas(), names));
    return names;
  }

  private static void collect(
      @Nullable Schema<?> schema, Map<String, Schema> all, Set<String> names) {
    if (schema == null) {
      return;
    }
    Schema<?> known = schema;
    if (schema.get$ref() != null) {
      String name = OpenApiSetup.name(schema);
      if (!names.add(name)) {
        return;
      }
      known = Objects.requireNonNull(all.get(name));
    }
    collect(known.getItems(), all, names);
    if (known.getAdditionalProperties() instanceof Schema<?> more) {
      collect(more, all, names);
    }
    if (known.getProperties() != null) {
      known.getProperties().values().forEach(p -> collect(p, all, names));
    }
  }

  private static void bound(@Nullable Schema<?> schema) {
    if (schema == null || schema.getProperties() == null) {
      return;
    }
    for (Schema<?> property : schema.getProperties().values()) {
      Schema<?> one = one(property);
      if (isNumber(property)) {
        if (one.getMinimum() == null && one.getExclusiveMinimumValue() == null) {
          one.setMinimum(MOST.negate());
        }
        if (one.getMaximum() == null && one.getExclusiveMaximumValue() == null) {
          one.setMaximum(MOST);
        }
      }
    }
  }

  private void tell(String path, PathItem.HttpMethod way, Operation operation) {
    operation.setSummary(plain(operation.getSummary()));
    operation.setDescription(plain(operation.getDescription()));
    operation.setTags(operation.getTags().stream().map(ApiWords::room).toList());
    boolean entered = operation.getRequestBody() != null;
    boolean kept = way != PathItem.HttpMethod.GET && !path.startsWith("/api/calc/");
    ApiResponses answers = operation.getResponses();
    Stream.of(
            Stream.of("400", "403"),
            path.contains("{") ? Stream.of("404") : Stream.<String>empty(),
            kept ? Stream.of("409", "503", "507") : Stream.<String>empty(),
            entered ? Stream.of("413", "415", "422") : Stream.<String>empty(),
            path.contains("{") || operation.getParameters() != null
                ? Stream.of("422")
                : Stream.<String>empty())
        .flatMap(s -> s)
        .sorted()
        .distinct()
        .forEach(status -> answers.addApiResponse(status, refusal(status)));
    FILES.forEach(
        (end, type) -> {
          if (way == PathItem.HttpMethod.GET && path.endsWith(end)) {
            Objects.requireNonNull(answers.get("200"))
                .setContent(
                    new Content().addMediaType(type, new MediaType().schema(new StringSchema())));
          }
        });
    examples.getObject().of(path).ifPresent(e -> show(operation, e));
  }

  private static ApiResponse refusal(String status) {
    MediaType type = new MediaType().schema(new Schema<>().$ref("#/components/schemas/" + REFUSED));
    return new ApiResponse()
        .description(PROBLEMS.get(status))
        .content(
            status.equals("403")
                ? new Content()
                    .addMediaType("text/plain", new MediaType().schema(new StringSchema()))
                : new Content().addMediaType(PROBLEM, type));
  }

  private static void show(Operation operation, ApiExamples.Example example) {
    operation.getRequestBody().getContent().values().forEach(t -> t.setExample(example.ask()));
    ApiResponse done = Objects.requireNonNull(operation.getResponses().get("200"));
    done.getContent().values().forEach(t -> t.setExample(example.answer()));
  }
}
