import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LineMap;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Measures of the source: what is hidden, how long methods and lines of templates are, which numbers leave a class
 * without a unit, which types share a name, where words for makers stand. Fails where a limit is passed:
 * {@code java scripts/Measures.java [--list]}.
 */
public final class Measures {

    private static final double LEAST_HIDDEN = 0.40;
    private static final int LONGEST_METHOD_95 = 20;
    private static final int LONGEST_LINE = 200;

    /** Words that tell what a number counts. */
    private static final Pattern UNIT = Pattern.compile(
            "grams?|kilograms?|ounces?|mm|milli(?:metres?|litres?)|ml|litres?|celsius|fahrenheit|kelvin|degrees?|minutes?|seconds?|hours?|days?|weeks?"
                + "|percent|shares?|fractions?|parts?|probabilit(?:y|ies)|likely|strengths?|rates?|factors?|ratios?|times|decibans?|weights?|counts?"
                + "|watts?|(?:kilo)?joules?|cost|price|pixels?|digits|ph|density|value|iodine|saponification|molar|concentration|superfat|superfats"
                + "|sigmas?|spread|halfwidth|low|high|middle|mean|score|chance|volume|area|length|height|width|depth|thickness|mass|energy|power"
                + "|conductivity|transfer|capacity|diffusivity|activity|leak|found|ifnot|numbers?|index|sum|x|y|moles|odds|bonds|millimetres|95",
            Pattern.CASE_INSENSITIVE);

    /** What gives back a number of whatever it was given. */
    private static final List<String> OF_ANY_UNIT = List.of("NumberNotation.read", "Interval.clamp", "Mass.dividedBy");

    private record Method(String where, int lines) {}

    private final List<Method> webMethods = new ArrayList<>();
    private final Map<String, List<String>> types = new TreeMap<>();
    private final List<String> shown = new ArrayList<>();
    private final List<String> hidden = new ArrayList<>();
    private final List<String> withoutUnit = new ArrayList<>();
    private final Map<String, Integer> literals = new TreeMap<>();

    public static void main(String[] args) throws IOException {
        boolean list = List.of(args).contains("--list");
        Measures measures = new Measures();
        measures.read(Path.of("core/src/main/java"));
        measures.read(Path.of("web/src/main/java"));
        System.exit(measures.tell(list) ? 0 : 1);
    }

    private static List<Path> files(Path root, String end) throws IOException {
        try (Stream<Path> files = Files.walk(root)) {
            return files.filter(f -> f.toString().endsWith(end)).sorted().toList();
        }
    }

    private void read(Path root) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null,
                    files,
                    d -> {},
                    List.of("-proc:none"),
                    null,
                    files.getJavaFileObjectsFromPaths(files(root, ".java")));
            SourcePositions positions = Trees.instance(task).getSourcePositions();
            for (CompilationUnitTree unit : task.parse()) {
                new Reader(unit, positions, root.startsWith("web")).scan(unit, null);
            }
        }
    }

    private final class Reader extends TreePathScanner<Void, Void> {

        private final CompilationUnitTree unit;
        private final SourcePositions positions;
        private final boolean web;
        private final String place;

        Reader(CompilationUnitTree unit, SourcePositions positions, boolean web) {
            this.unit = unit;
            this.positions = positions;
            this.web = web;
            this.place = unit.getPackageName() == null
                    ? ""
                    : unit.getPackageName().toString().replace("io.causticon.", "");
        }

        @Override
        public Void visitClass(ClassTree type, Void nothing) {
            if (getCurrentPath().getParentPath().getLeaf() == unit) {
                types.computeIfAbsent(type.getSimpleName().toString(), n -> new ArrayList<>())
                        .add(place);
                if (!web) {
                    (type.getModifiers().getFlags().contains(Modifier.PUBLIC) ? shown : hidden)
                            .add(place + "." + type.getSimpleName());
                }
            }
            return super.visitClass(type, nothing);
        }

        @Override
        public Void visitMethod(MethodTree method, Void nothing) {
            if (web && method.getBody() != null && positions.getEndPosition(unit, method) > 0) {
                LineMap lines = unit.getLineMap();
                long from = lines.getLineNumber(positions.getStartPosition(unit, method.getBody()));
                long to = lines.getLineNumber(positions.getEndPosition(unit, method.getBody()));
                webMethods.add(new Method(place + " " + name(method), (int) Math.max(0, to - from - 1)));
            }
            boolean leaves = method.getModifiers().getFlags().contains(Modifier.PUBLIC);
            if (!web
                    && leaves
                    && method.getReturnType() != null
                    && "double".equals(method.getReturnType().toString())
                    && !hasUnit(method.getName().toString())
                    && !OF_ANY_UNIT.contains(name(method))) {
                withoutUnit.add(place + "." + name(method));
            }
            return super.visitMethod(method, nothing);
        }

        private String name(MethodTree method) {
            return method.getName().toString().equals("<init>")
                    ? enclosing() + "()"
                    : enclosing() + "." + method.getName();
        }

        private String enclosing() {
            for (TreePath path = getCurrentPath(); path != null; path = path.getParentPath()) {
                if (path.getLeaf() instanceof ClassTree type
                        && !type.getSimpleName().isEmpty()) {
                    return type.getSimpleName().toString();
                }
            }
            return "";
        }

        @Override
        public Void visitLiteral(LiteralTree literal, Void nothing) {
            if (literal.getKind() == Tree.Kind.STRING_LITERAL
                    && isEnglish((String) literal.getValue())
                    && !isForDevelopers()) {
                literals.merge(place, 1, Integer::sum);
            }
            return super.visitLiteral(literal, nothing);
        }

        /** Two words in a row, and no expression. */
        private boolean isEnglish(String text) {
            return Pattern.compile("[a-z]{2,}[,;:]? [a-z]{2,}").matcher(text).find()
                    && !Pattern.compile("[\\\\\\[]|\\?:").matcher(text).find();
        }

        private boolean isForDevelopers() {
            for (TreePath path = getCurrentPath(); path != null; path = path.getParentPath()) {
                if (path.getLeaf() instanceof NewClassTree made
                        && made.getIdentifier().toString().endsWith("Exception")) {
                    return true;
                }
                if (path.getLeaf() instanceof MethodInvocationTree call
                        && (call.getMethodSelect()
                                .toString()
                                .matches("LOG\\..*|.*\\.formatted|.*KnowledgeCheck.fault"))) {
                    return true;
                }
                if (path.getLeaf() instanceof VariableTree field
                        && field.getName().toString().matches(".*SQL.*|QUERY")) {
                    return true;
                }
            }
            return false;
        }
    }

    private static boolean hasUnit(String name) {
        return Stream.of(name.split("(?=[A-Z])|(?<=[a-z])(?=[0-9])|_"))
                .anyMatch(word -> UNIT.matcher(word).matches());
    }

    private boolean tell(boolean list) throws IOException {
        double share = hidden.size() / (double) (hidden.size() + shown.size());
        List<Integer> lengths = webMethods.stream().map(Method::lines).sorted().toList();
        int at95 = lengths.get((int) Math.ceil(0.95 * lengths.size()) - 1);
        List<String> longLines = new ArrayList<>();
        for (Path template : files(Path.of("web/src/main/resources/templates"), ".html")) {
            List<String> lines = Files.readAllLines(template);
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i).length() >= LONGEST_LINE) {
                    longLines.add(template.getFileName() + ":" + (i + 1) + " ("
                            + lines.get(i).length() + ")");
                }
            }
        }
        List<String> twice = types.entrySet().stream()
                .filter(t -> t.getValue().size() > 1 && !t.getKey().equals("package-info"))
                .map(t -> t.getKey() + " in " + String.join(" and ", t.getValue()))
                .toList();
        boolean fine = line(
                share >= LEAST_HIDDEN,
                "core: hidden of all top-level types",
                String.format(Locale.ROOT, "%.0f %% of %d", 100 * share, hidden.size() + shown.size()),
                "at least 40 %");
        fine &= line(
                at95 <= LONGEST_METHOD_95,
                "web: lines of a method, 95th of 100",
                at95 + " of " + lengths.size() + " methods",
                "at most 20");
        fine &= line(
                longLines.isEmpty(),
                "templates: lines of 200 characters and more",
                longLines.size() + " " + longLines,
                "none");
        fine &= line(twice.isEmpty(), "types of one name", twice.size() + " " + twice, "none");
        fine &= line(
                withoutUnit.isEmpty(),
                "core: numbers that leave a class without a unit in their name",
                String.valueOf(withoutUnit.size()),
                "none");
        int reasons = literals.entrySet().stream()
                .filter(l -> l.getKey().startsWith("core.science.diagnosis"))
                .mapToInt(Map.Entry::getValue)
                .sum();
        int core = literals.entrySet().stream()
                        .filter(l -> l.getKey().startsWith("core"))
                        .mapToInt(Map.Entry::getValue)
                        .sum()
                - reasons;
        int web = literals.entrySet().stream()
                .filter(l -> l.getKey().startsWith("web"))
                .mapToInt(Map.Entry::getValue)
                .sum();
        line(true, "words for makers in the code", "core " + core + ", its knowledge " + reasons + ", web " + web, "");
        if (list) {
            System.out.println("without a unit: " + withoutUnit);
            System.out.println("words: " + literals);
            System.out.println("long methods: "
                    + webMethods.stream()
                            .filter(m -> m.lines() > LONGEST_METHOD_95)
                            .sorted((a, b) -> b.lines() - a.lines())
                            .map(m -> m.where() + " " + m.lines())
                            .collect(Collectors.joining("\n  ", "\n  ", "")));
            System.out.println("shown: " + String.join(" ", shown));
        }
        return fine;
    }

    private static boolean line(boolean fine, String what, String value, String wanted) {
        System.out.printf(
                "%-8s %-62s %s%s%n",
                fine ? "ok" : "MISSED", what, value, wanted.isEmpty() ? "" : "  (wanted: " + wanted + ")");
        return fine;
    }
}
