package io.causticon.adversary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Prints the logs that open the gate although something is wrong, the most probable first:
 * {@code Adversary [beam [lines [how many]]]}.
 */
public final class Adversary {

    private Adversary() {}

    /** A log that opens a gate, and what is wrong with the batch. */
    private record Way(Truth truth, Game.Opened opened) {}

    public static void main(String[] arguments) {
        int width = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 30;
        int depth = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 5;
        int most = arguments.length > 2 ? Integer.parseInt(arguments[2]) : 50;
        List<Way> ways = new ArrayList<>();
        System.out.printf(
                "Beam of %d logs, up to %d lines%n%n| what is wrong | most probable way | lines |%n|---|---|---|%n",
                width, depth);
        for (Truth truth : Truth.values()) {
            Game game = new Game(truth, width, depth);
            List<Game.Opened> opened = game.play(most);
            opened.forEach(o -> ways.add(new Way(truth, o)));
            String best = opened.isEmpty()
                    ? "none found"
                    : String.format("%.2g", opened.get(0).probability());
            System.out.printf("| %s | %s | %s |%n", name(truth), best, opened.isEmpty() ? "" : words(opened.get(0)));
            System.err.printf("%s: %d logs judged, %d open%n", name(truth), game.judged(), opened.size());
        }
        System.out.printf("%nThe %d worst%n%n", most);
        ways.sort(Comparator.comparingDouble((Way w) -> w.opened.probability()).reversed());
        ways.stream()
                .limit(most)
                .forEach(w ->
                        System.out.printf("%.3g  %s: %s%n", w.opened.probability(), name(w.truth), words(w.opened)));
    }

    private static String name(Truth truth) {
        return truth.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String words(Game.Opened opened) {
        return opened.lines().stream().map(Move::words).collect(Collectors.joining("; "));
    }
}
