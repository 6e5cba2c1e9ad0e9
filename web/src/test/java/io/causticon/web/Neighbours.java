package io.causticon.web;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import io.causticon.core.MayUse;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** What packages declare with {@link MayUse}, and what they really use; by their names beneath a root. */
final class Neighbours {

    private Neighbours() {}

    /** What each package beneath the root uses of the others there. */
    static Map<String, Set<String>> used(JavaClasses classes, String root) {
        Map<String, Set<String>> used = new TreeMap<>();
        for (JavaClass one : classes) {
            if (!isPlace(one.getPackageName(), root) || one.getSimpleName().equals("package-info")) {
                continue;
            }
            Set<String> neighbours = used.computeIfAbsent(place(one.getPackageName(), root), p -> new TreeSet<>());
            one.getDirectDependenciesFromSelf().stream()
                    .map(d -> d.getTargetClass().getPackageName())
                    .filter(p -> isPlace(p, root) && !p.equals(one.getPackageName()))
                    .forEach(p -> neighbours.add(place(p, root)));
        }
        return used;
    }

    /** What each package beneath the root declares; one that declares nothing is missing. */
    static Map<String, Set<String>> declared(JavaClasses classes, String root) {
        Map<String, Set<String>> declared = new TreeMap<>();
        for (JavaPackage one : classes.getPackage(root).getSubpackagesInTree()) {
            one.tryGetAnnotationOfType(MayUse.class)
                    .ifPresent(a -> declared.put(place(one.getName(), root), new TreeSet<>(Set.of(a.value()))));
        }
        return declared;
    }

    private static boolean isPlace(String packageName, String root) {
        return packageName.startsWith(root + ".");
    }

    private static String place(String packageName, String root) {
        return packageName.substring(root.length() + 1);
    }
}
