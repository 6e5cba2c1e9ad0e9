package io.causticon.web.harness;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A test of the running application. Its parameters may be {@link RunningApplication}, {@link Browser} or
 * {@link Client}.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@ExtendWith(ApplicationExtension.class)
public @interface Application {}
