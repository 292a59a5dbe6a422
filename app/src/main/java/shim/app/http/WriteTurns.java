package shim.app.http;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.jspecify.annotations.Nullable;
import org.springframework.aop.Advisor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RestController;

/**
 * One change at a time. Two devices that send at the same moment take turns, so that the second
 * meets what the first has kept and is told so, instead of losing a race inside the database. A
 * turn begins when the whole request has arrived: a slow line keeps nobody waiting. Calls that only
 * calculate take no turn.
 */
@Configuration
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class WriteTurns {
  private static final long PATIENCE_SECONDS = 20;
  private static final List<String> WRITE_NOTHING =
      List.of(
          "/api/calc/",
          "/api/dial",
          "/api/tester",
          "/api/restore-check",
          "/api/backups",
          "/api/under-way/");

  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor oneChangeAtATime(ObjectProvider<DiskWatch> disk, ObjectProvider<Changes> changes) {
    return new DefaultPointcutAdvisor(new Writes(), new Turn(disk, changes));
  }

  private static final class Writes extends StaticMethodMatcherPointcut {
    @Override
    public boolean matches(java.lang.reflect.Method method, Class<?> controller) {
      if (!AnnotatedElementUtils.hasAnnotation(controller, RestController.class)) {
        return false;
      }
      RequestMapping mapping =
          AnnotatedElementUtils.findMergedAnnotation(method, RequestMapping.class);
      return mapping != null && changes(mapping) && !writesNothing(mapping);
    }

    private static boolean changes(RequestMapping mapping) {
      return Arrays.stream(mapping.method()).anyMatch(m -> m != RequestMethod.GET);
    }

    private static boolean writesNothing(RequestMapping mapping) {
      return Arrays.stream(mapping.path())
          .allMatch(p -> WRITE_NOTHING.stream().anyMatch(p::startsWith));
    }
  }

  private static final class Turn implements MethodInterceptor {
    private final ReentrantLock turn = new ReentrantLock(true);
    private final ObjectProvider<DiskWatch> disk;
    private final ObjectProvider<Changes> changes;

    Turn(ObjectProvider<DiskWatch> disk, ObjectProvider<Changes> changes) {
      this.disk = disk;
      this.changes = changes;
    }

    @Override
    public @Nullable Object invoke(MethodInvocation call) throws Throwable {
      disk.getObject().requireRoom();
      if (!turn.tryLock(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        throw Refusal.busy("Shim is busy with another change: it is tried again");
      }
      try {
        return call.proceed();
      } finally {
        changes.getObject().oneMore();
        turn.unlock();
      }
    }
  }
}
