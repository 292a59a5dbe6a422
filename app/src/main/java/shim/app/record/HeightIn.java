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

/** A height of a valve spring, inch. What may be millimetres is asked about where it is used. */
@DecimalMin("0.1")
@DecimalMax("300")
@Constraint(validatedBy = {})
@ReportAsSingleViolation
@Documented
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
public @interface HeightIn {
  String message() default "a height lies between {0.1 in} and {10 in}";

  Class<?>[] groups() default {};

  Class<? extends Payload>[] payload() default {};
}
