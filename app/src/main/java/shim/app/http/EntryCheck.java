package shim.app.http;

import java.lang.reflect.Type;
import java.util.Collection;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Every body is looked through as soon as it is read. */
@ControllerAdvice
class EntryCheck extends RequestBodyAdviceAdapter {
  private final Entries entries;

  EntryCheck(Entries entries) {
    this.entries = entries;
  }

  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    if (body instanceof Record || body instanceof Collection<?>) {
      entries.requireSound(body);
    }
    return body;
  }
}
