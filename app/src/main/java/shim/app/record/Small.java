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

/** A gap between parts, inch; below zero where they overlap. */
@DecimalMin("-1")
@DecimalMax("2")
@Constraint(validatedBy = {})
@ReportAsSingleViolation
@Documented
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
public @interface Small {
  String message() default "a gap lies between {-1 in} and {2 in}";

  Class<?>[] groups() default {};

  Class<? extends Payload>[] payload() default {};
}
