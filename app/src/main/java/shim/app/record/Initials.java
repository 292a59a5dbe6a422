package shim.app.record;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.ElementType.METHOD;
import static java.lang.annotation.ElementType.PARAMETER;
import static java.lang.annotation.ElementType.TYPE_USE;

import jakarta.validation.Constraint;
import jakarta.validation.Payload;
import jakarta.validation.ReportAsSingleViolation;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.lang.annotation.Documented;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Whose entry it is: never blank, 12 letters at most. */
@NotBlank
@Size(max = 12)
@Constraint(validatedBy = {})
@ReportAsSingleViolation
@Documented
@Target({FIELD, METHOD, PARAMETER, TYPE_USE})
@Retention(RetentionPolicy.RUNTIME)
public @interface Initials {
  String message() default "write your initials, 12 letters at most";

  Class<?>[] groups() default {};

  Class<? extends Payload>[] payload() default {};
}
