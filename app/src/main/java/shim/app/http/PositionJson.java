package shim.app.http;

import io.swagger.v3.oas.models.media.StringSchema;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import shim.core.engine.Position;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** A valve travels as the trade writes it: {@code "3E"}. */
@Configuration
class PositionJson {
  static {
    SpringDocUtils.getConfig()
        .replaceWithSchema(
            Position.class, new StringSchema().description("a valve, such as 3E or 3I1"));
  }

  @Bean
  SimpleModule positions() {
    SimpleModule module = new SimpleModule("positions");
    module.addSerializer(new Writer());
    module.addDeserializer(Position.class, new Reader());
    return module;
  }

  private static final class Writer extends StdSerializer<Position> {
    Writer() {
      super(Position.class);
    }

    @Override
    public void serialize(Position value, JsonGenerator out, SerializationContext context) {
      out.writeString(value.toString());
    }
  }

  private static final class Reader extends StdDeserializer<Position> {
    Reader() {
      super(Position.class);
    }

    @Override
    public Position deserialize(JsonParser in, DeserializationContext context) {
      return Position.parse(in.getString());
    }
  }
}
