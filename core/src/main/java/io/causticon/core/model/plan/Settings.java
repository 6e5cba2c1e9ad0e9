package io.causticon.core.model.plan;

import java.util.IdentityHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a plan says in each of its {@link PlanFields}; where it says nothing, the usual. Never changed. */
public final class Settings {

    /** All as usual. */
    public static final Settings USUAL = new Settings(Map.of());

    private final Map<PlanField<?>, Object> said;

    private Settings(Map<PlanField<?>, Object> said) {
        this.said = said;
    }

    /** What it is; null only where the usual is nothing. */
    public <T> T get(PlanField<T> field) {
        Object value = said.get(field);
        return value == null ? field.usual() : field.type().cast(value);
    }

    /** The same with another value; null makes it as usual. */
    public <T> Settings with(PlanField<T> field, @Nullable T value) {
        Map<PlanField<?>, Object> other = new IdentityHashMap<>(said);
        if (value == null || field.isUsual(value)) {
            other.remove(field);
        } else {
            other.put(field, value);
        }
        return new Settings(other);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Settings s && asMap().equals(s.asMap());
    }

    @Override
    public int hashCode() {
        return asMap().hashCode();
    }

    private Map<String, Object> asMap() {
        return said.entrySet().stream().collect(Collectors.toMap(e -> e.getKey().kept(), Map.Entry::getValue));
    }

    @Override
    public String toString() {
        return asMap().toString();
    }
}
