package io.causticon.core.workshop.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/**
 * What hands must know by themselves, to be done in its order against the clock. It stands behind the supplier's safety
 * data sheet, local rules and trained help. Source of the first aid: the precautionary statements P301+P330+P331,
 * P302+P361+P354, P305+P354+P338 and P316 for what corrodes skin (GHS, revision 10, United Nations 2023); the other
 * orders are judgements.
 */
public enum Drill {
    SKIN(
            "Lye on skin",
            "The jug tips. Lye runs over your wrist and into your sleeve.",
            60,
            List.of(
                    new Step("under", "Wrist under running water, at once"),
                    new Step("off", "Sleeve, glove and ring off while the water runs"),
                    new Step("keep", "Keep rinsing, 20 minutes or more"),
                    new Step("call", "Have somebody call for help if it burns on, or is larger than a palm")),
            List.of(
                    new Wrong(
                            "vinegar",
                            "Vinegar on it",
                            "Neutralising makes heat, and costs the minutes in which water helps."),
                    new Wrong(
                            "wipe",
                            "Wipe it off with a towel first",
                            "A towel rubs it in and holds it there. Water first."),
                    new Wrong(
                            "cream",
                            "Cream or butter on it",
                            "It keeps lye on the skin. Nothing goes on it before it is rinsed and looked at."))),
    EYE(
            "Lye in an eye",
            "The blender spits. It is in your left eye.",
            45,
            List.of(
                    new Step("rinse", "Hold the eye open under a soft stream, at once"),
                    new Step("lens", "Contact lens out if it comes easily, while the water runs"),
                    new Step("shout", "Shout for somebody to call the emergency number"),
                    new Step("on", "Keep rinsing towards the outer corner until they take over")),
            List.of(
                    new Wrong("rub", "Rub it and see whether it passes", "Seconds count: what stays in goes deeper."),
                    new Wrong("drops", "Eye drops or milk", "A few drops dilute nothing. Running water does."),
                    new Wrong(
                            "drive",
                            "Drive to the doctor first",
                            "Rinse first, for 20 minutes or more. Help comes to you."))),
    SWALLOWED(
            "Somebody drank of the jug",
            "A child drank from the jug of lye water.",
            45,
            List.of(
                    new Step("mouth", "Rinse the mouth with water"),
                    new Step("emergency", "Call the emergency number, at once"),
                    new Step("packet", "Have the packet of the lye at hand for them"),
                    new Step("stay", "Stay, keep the child upright and still")),
            List.of(
                    new Wrong("vomit", "Make it come up", "What burnt on the way down burns again on the way up."),
                    new Wrong("acid", "Give lemon juice or vinegar", "It makes heat inside. Nothing to neutralise."),
                    new Wrong("wait", "Wait and see whether it hurts", "Burns inside show late."))),
    BOIL_OVER(
            "The pot climbs",
            "Honey soap in the mould swells, cracks and begins to run over.",
            90,
            List.of(
                    new Step("goggles", "Goggles and gloves on before you come near"),
                    new Step("uncover", "Towels and lid off, from the side"),
                    new Step("cool", "Mould on a rack, cold air to it"),
                    new Step("tray", "A tray under it for what runs"),
                    new Step("log", "Write down when, and how hot the core was")),
            List.of(
                    new Wrong("face", "Lean over it and look", "It can spit: nearly boiling, and caustic."),
                    new Wrong("water", "Pour water on it", "It spatters, and makes a caustic slurry."),
                    new Wrong("bare", "Push it back with a hand", "It is caustic and hot: no hand without a glove."))),
    SEIZING(
            "It sets in the pot",
            "You poured the clove oil in. In seconds the batter is a mash, hot and curdling.",
            120,
            List.of(
                    new Step("stop", "Blender off and out"),
                    new Step("look", "Look whether oil or liquor stands apart in it"),
                    new Step("press", "Press it into the mould with a spatula, corners first"),
                    new Step("warm", "Leave it uncovered; it heats by itself"),
                    new Step("note", "Note the oil, how much, and the seconds it took")),
            List.of(
                    new Wrong(
                            "blend",
                            "Blend harder",
                            "It shears nothing any more: the motor heats, and it sets on the blade."),
                    new Wrong("more", "Add water to thin it", "It does not mix in; it stays as pockets of liquor."),
                    new Wrong("bin", "Throw it out", "It is soap. Pressed, or cooked, it can be saved."))),
    LEAK(
            "The mould leaks",
            "Raw soap runs from a corner of the mould over the bench.",
            90,
            List.of(
                    new Step("gloves", "Gloves stay on; goggles stay on"),
                    new Step("clamp", "Clamp or tape the corner"),
                    new Step("catch", "Catch what runs in a bowl, and keep it off the floor"),
                    new Step("wipe-up", "Wipe up with paper, then with much water"),
                    new Step("weigh", "Weigh what was caught and write it down")),
            List.of(
                    new Wrong(
                            "hand", "Hold the corner shut with a bare hand", "Raw soap is caustic for a day or more."),
                    new Wrong(
                            "floor",
                            "Let it run, it is only soap",
                            "Somebody slips on it, or a child or a dog finds it."),
                    new Wrong("drain", "Rinse it all down the drain", "It sets there, and it is caustic.")));

    private final String title;
    private final String scene;
    private final int seconds;
    private final List<Step> steps;
    private final List<Wrong> wrong;

    Drill(String title, String scene, int seconds, List<Step> steps, List<Wrong> wrong) {
        this.title = title;
        this.scene = scene;
        this.seconds = seconds;
        this.steps = steps;
        this.wrong = wrong;
    }

    /** One right thing, in its place. */
    public record Step(String id, String words) {}

    /** What hands would do, and why not. */
    public record Wrong(String id, String words, String why) {}

    /** One thing that can be tapped. */
    public record Option(String id, String words) {}

    public String title() {
        return title;
    }

    public String scene() {
        return scene;
    }

    /** Within which it is to be through. */
    public int seconds() {
        return seconds;
    }

    public List<Step> steps() {
        return steps;
    }

    /** All that can be tapped, shuffled so that its place tells nothing. */
    public List<Option> options(long seed) {
        List<Option> all = new ArrayList<>(Stream.concat(
                        steps.stream().map(s -> new Option(s.id(), s.words())),
                        wrong.stream().map(w -> new Option(w.id(), w.words())))
                .toList());
        Collections.shuffle(all, new Random(seed));
        return List.copyOf(all);
    }

    /**
     * How far somebody is who tapped these.
     *
     * @param done right steps, in their order
     * @param slips what was wrong, or too early, with the reason, in the order in which it was tapped
     */
    public record Progress(List<Step> done, List<Slip> slips, boolean isThrough) {}

    /** Something that was tapped and is not next. */
    public record Slip(String words, String why, boolean harmful) {}

    /** Whatever is no option is left out. */
    public Progress progress(List<String> tapped) {
        List<Step> done = new ArrayList<>();
        List<Slip> slips = new ArrayList<>();
        for (String id : tapped) {
            Optional<Wrong> bad = wrong.stream().filter(w -> w.id().equals(id)).findFirst();
            Optional<Step> step = steps.stream().filter(s -> s.id().equals(id)).findFirst();
            bad.ifPresent(w -> slips.add(new Slip(w.words(), w.why(), true)));
            step.filter(s -> !done.contains(s)).ifPresent(s -> {
                if (steps.indexOf(s) == done.size()) {
                    done.add(s);
                } else {
                    slips.add(new Slip(s.words(), "Right, and not yet: something else comes first.", false));
                }
            });
        }
        return new Progress(List.copyOf(done), List.copyOf(slips), done.size() == steps.size());
    }
}
