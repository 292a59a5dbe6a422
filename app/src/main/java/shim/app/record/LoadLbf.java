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

/** A load of a valve spring, lbf. */
@DecimalMin(value = "0", inclusive = false)
@DecimalMax("5000")
@Constraint(validatedBy = {})
@ReportAsSingleViolation
@Documented
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
public @interface LoadLbf {
  String message() default "a load lies above zero and up to {5000 lbf}";

  Class<?>[] groups() default {};

  Class<? extends Payload>[] payload() default {};
}
