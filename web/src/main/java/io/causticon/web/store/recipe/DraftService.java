package io.causticon.web.store.recipe;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.web.shared.Caches;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.RememberKey;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/** Recipes under way, as they were typed: kept on every change, so that leaving the page loses nothing. */
@Service
public class DraftService {

    /** Far more than sixty rows of everything with the longest names. */
    private static final int LONGEST = 400_000;

    private static final int LONGEST_NAME = 200;

    private static final int PAGES_DONE = 1000;

    /** Pages whose recipe was saved. */
    private final Cache<String, Boolean> done = Caches.atMost(PAGES_DONE).build();

    private final DraftRepository drafts;
    private final RememberKey key;
    private final TransactionTemplate transaction;
    private final Clock clock;

    DraftService(DraftRepository drafts, RememberKey key, TransactionTemplate transaction, Clock clock) {
        this.drafts = drafts;
        this.key = key;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * A recipe under way.
     *
     * @param typed its fields
     * @param changed when it was last changed
     */
    public record Draft(UUID id, String name, MultiValueMap<String, String> typed, Instant changed) {}

    /**
     * A page on which a recipe is changed.
     *
     * @param draft names what it keeps
     * @param page the page; two tabs are two
     * @param seen the last change that it knows of; null before the first
     */
    public record Sheet(UUID draft, String page, @Nullable Instant seen) {

        /** The page that is shown next. */
        public Sheet shownAs(String other, @Nullable Instant kept) {
            return new Sheet(draft, other, kept);
        }
    }

    /** The draft that a maker's changes of a recipe are kept in; nobody else can work out which it is. */
    public UUID of(Maker maker, UUID recipe) {
        return UUID.nameUUIDFromBytes(
                ("draft " + key.value() + ' ' + maker.name() + ' ' + recipe).getBytes(StandardCharsets.UTF_8));
    }

    public Optional<Draft> find(Maker maker, UUID id) {
        return drafts.findByIdAndMaker(id, maker.name()).map(DraftService::draft);
    }

    /** What a maker changed of a recipe and has not saved. */
    public Optional<Draft> ofRecipe(Maker maker, UUID recipe) {
        return drafts.findFirstByMakerAndRecipeIdOrderByChangedAtDesc(maker.name(), recipe)
                .map(DraftService::draft);
    }

    /** New recipes that the maker has not saved, the last changed first. */
    public List<Draft> underWay(Maker maker) {
        return drafts.findByMakerAndRecipeIdIsNullOrderByChangedAtDesc(maker.name()).stream()
                .map(DraftService::draft)
                .toList();
    }

    /**
     * Keeps what a page holds.
     *
     * @param page the page that it will be on
     * @param recipe whose; null of a new one
     * @return when it was kept; empty if another page changed it since this one last saw it, and then nothing is kept
     */
    public Optional<Instant> keep(
            Maker maker, Sheet sheet, String page, @Nullable UUID recipe, MultiValueMap<String, String> typed) {
        String form = write(typed);
        if (form.length() > LONGEST || done.getIfPresent(sheet.page()) != null) {
            return Optional.of(clock.instant());
        }
        TransactionCallback<Optional<Instant>> keeping =
                t -> keptNow(maker, sheet, row(maker, sheet, page, recipe, typed, form));
        try {
            return transaction.execute(keeping);
        } catch (DataIntegrityViolationException | ConcurrencyFailureException e) {
            // Two changes of one page at the same moment, such as its last word and whoever tells it again: the other
            // is kept by now, and this one is looked at once more, so that neither goes with the other's failure.
            return transaction.execute(keeping);
        }
    }

    private DraftRow row(
            Maker maker,
            Sheet sheet,
            String page,
            @Nullable UUID recipe,
            MultiValueMap<String, String> typed,
            String form) {
        DraftRow row = new DraftRow();
        row.id = sheet.draft();
        row.maker = maker.name();
        row.recipeId = recipe;
        String name = Optional.ofNullable(typed.getFirst("name")).orElse("");
        row.name = name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
        row.form = form;
        row.page = page;
        // Forms tell whole milliseconds.
        row.changedAt = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        return row;
    }

    private Optional<Instant> keptNow(Maker maker, Sheet sheet, DraftRow row) {
        Optional<DraftRow> before = drafts.findById(sheet.draft());
        boolean lost = before.isPresent()
                && (!before.get().maker.equals(maker.name()) || changedElsewhere(before.get(), sheet, row.form));
        if (lost) {
            return Optional.empty();
        }
        drafts.save(row);
        return Optional.of(row.changedAt);
    }

    private static boolean changedElsewhere(DraftRow before, Sheet sheet, String form) {
        return changedUnseen(before, sheet) && !before.form.equals(form);
    }

    private static boolean changedUnseen(DraftRow row, Sheet sheet) {
        return !row.page.equals(sheet.page()) && (sheet.seen() == null || row.changedAt.isAfter(sheet.seen()));
    }

    /** Throws a draft away. */
    public void drop(Maker maker, UUID id) {
        transaction.executeWithoutResult(
                t -> drafts.findByIdAndMaker(id, maker.name()).ifPresent(drafts::delete));
    }

    /**
     * Lets go of what was saved on a page; what this still sends comes too late. What another page changed since waits
     * on.
     */
    public void saved(Maker maker, Sheet sheet) {
        if (!sheet.page().isEmpty()) {
            done.put(sheet.page(), true);
        }
        transaction.executeWithoutResult(t -> drafts.findByIdAndMaker(sheet.draft(), maker.name())
                .filter(row -> !changedUnseen(row, sheet))
                .ifPresent(drafts::delete));
    }

    private static Draft draft(DraftRow row) {
        return new Draft(row.id, row.name, read(row.form), row.changedAt);
    }

    private static String write(MultiValueMap<String, String> typed) {
        return typed.entrySet().stream()
                .flatMap(e -> e.getValue().stream().map(v -> encode(e.getKey()) + "=" + encode(v)))
                .collect(Collectors.joining("&"));
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** What cannot be understood of a row is left out. */
    private static MultiValueMap<String, String> read(String form) {
        MultiValueMap<String, String> typed = new LinkedMultiValueMap<>();
        for (String field : form.split("&")) {
            int equals = field.indexOf('=');
            if (equals > 0) {
                try {
                    typed.add(decode(field.substring(0, equals)), decode(field.substring(equals + 1)));
                } catch (IllegalArgumentException e) {
                    // A cut-off escape.
                }
            }
        }
        return typed;
    }

    private static String decode(String text) {
        return URLDecoder.decode(text, StandardCharsets.UTF_8);
    }
}
