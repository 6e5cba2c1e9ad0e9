package io.causticon.web.store.arrival;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** How tables of a heading are read, once somebody said it. */
@Component
public class KnownTables {

    private final JdbcTemplate jdbc;
    private final Clock clock;

    KnownTables(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private static String key(List<String> heading) {
        String names = heading.stream()
                .map(h -> h.strip().toLowerCase(java.util.Locale.ROOT))
                .collect(Collectors.joining("\n"));
        return UUID.nameUUIDFromBytes(names.getBytes(StandardCharsets.UTF_8)).toString();
    }

    /** What was said; nothing where nobody has, or where there is no heading to know it by. */
    public Map<String, String> of(List<String> heading) {
        if (heading.isEmpty()) {
            return Map.of();
        }
        return jdbc
                .queryForList("select reading from known_table where heading = ?", String.class, key(heading))
                .stream()
                .findFirst()
                .map(KnownTables::read)
                .orElse(Map.of());
    }

    public void remember(List<String> heading, Map<String, String> said) {
        if (heading.isEmpty()) {
            return;
        }
        jdbc.update("delete from known_table where heading = ?", key(heading));
        jdbc.update(
                "insert into known_table (heading, reading, said_at) values (?, ?, ?)",
                key(heading),
                write(said),
                clock.instant().atOffset(ZoneOffset.UTC));
    }

    private static String write(Map<String, String> said) {
        return new TreeMap<>(said)
                .entrySet().stream().map(e -> e.getKey() + "=" + e.getValue()).collect(Collectors.joining("\n"));
    }

    private static Map<String, String> read(String kept) {
        return kept.lines()
                .map(l -> l.split("=", 2))
                .filter(p -> p.length == 2)
                .collect(Collectors.toMap(p -> p[0], p -> p[1], (a, b) -> b));
    }
}
