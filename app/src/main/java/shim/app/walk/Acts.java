package shim.app.walk;

import io.swagger.v3.oas.models.media.StringSchema;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import shim.core.change.SpringAct;
import shim.core.walk.Act;
import shim.core.walk.WalkAct;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** All that can be done in any walk, by the names under which it is sent and kept. */
@Configuration
class Acts {
  private static final Map<String, Act> BY_NAME =
      Stream.<Act[]>of(WalkAct.values(), SpringAct.values())
          .flatMap(Stream::of)
          .collect(Collectors.toMap(Act::name, Function.identity()));

  static {
    StringSchema names = new StringSchema();
    names.setEnum(List.copyOf(BY_NAME.keySet().stream().sorted().toList()));
    SpringDocUtils.getConfig().replaceWithSchema(Act.class, names);
  }

  /** A kept act by its name. */
  static Act of(String name) {
    Act act = BY_NAME.get(name);
    if (act == null) {
      throw new IllegalStateException("no such act: " + name);
    }
    return act;
  }

  @Bean
  SimpleModule actNames() {
    SimpleModule module = new SimpleModule("acts");
    module.addDeserializer(Act.class, new Reader());
    return module;
  }

  private static final class Reader extends StdDeserializer<Act> {
    Reader() {
      super(Act.class);
    }

    @Override
    public Act deserialize(JsonParser in, DeserializationContext context) {
      Act act = BY_NAME.get(in.getString());
      if (act == null) {
        String all = BY_NAME.keySet().stream().sorted().collect(Collectors.joining(", "));
        throw new IllegalArgumentException("expected here: one of " + all);
      }
      return act;
    }
  }
}
