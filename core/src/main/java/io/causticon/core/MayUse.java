package io.causticon.core;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Which neighbours a package may use, by their names beneath the root of its module. A test holds it to these: no more,
 * and none that it leaves unused.
 */
@Documented
@Retention(RetentionPolicy.CLASS)
@Target(ElementType.PACKAGE)
public @interface MayUse {

    /** Names such as {@code model.plan}; empty for a package that stands on nothing of ours. */
    String[] value();
}
