package shim.app.record;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.PARAMETER;
import static java.lang.annotation.ElementType.TYPE_USE;

import jakarta.validation.Constraint;
import jakarta.validation.Payload;
import jakarta.validation.ReportAsSingleViolation;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import java.lang.annotation.Documented;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Hours of an engine or a part: a number from 0 to 100000. */
@DecimalMin("0")
@DecimalMax("100000")
@Constraint(validatedBy = {})
@ReportAsSingleViolation
@Documented
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
public @interface Hours {
  String message() default "hours: 0 to 100000";

  Class<?>[] groups() default {};

  Class<? extends Payload>[] payload() default {};
}
