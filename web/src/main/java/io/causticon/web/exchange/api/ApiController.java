package io.causticon.web.exchange.api;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.Suggestion;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.EntryCodec;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.token.Caller;
import io.causticon.web.store.token.Scope;
import io.swagger.v3.oas.annotations.Hidden;
import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.enums.SecuritySchemeType;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.security.SecurityRequirement;
import io.swagger.v3.oas.annotations.security.SecurityScheme;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Batches for other programs; docs/api.md says how they ask. */
@RestController
@OpenAPIDefinition(
        info =
                @Info(
                        title = "Batches of a workshop",
                        version = "1",
                        description =
                                "Batches read and lines added by programs, as docs/api.md tells. Masses are in grams,"
                                        + " temperatures in degrees Celsius, moments in UTC."),
        security = @SecurityRequirement(name = "token"))
@SecurityScheme(
        name = "token",
        type = SecuritySchemeType.HTTP,
        scheme = "bearer",
        description = "Made by the owner under Settings, Programs.")
@Tag(name = "Batches")
@ApiResponse(
        responseCode = "400",
        description = "It cannot be read; detail says what it wants.",
        content = @Content(mediaType = ApiController.FAULT, schema = @Schema(implementation = ProblemDetail.class)))
@ApiResponse(
        responseCode = "401",
        description = "No token, or one that is over.",
        content = @Content(mediaType = ApiController.FAULT, schema = @Schema(implementation = ProblemDetail.class)))
@ApiResponse(
        responseCode = "403",
        description = "The token may not.",
        content = @Content(mediaType = ApiController.FAULT, schema = @Schema(implementation = ProblemDetail.class)))
@ApiResponse(
        responseCode = "404",
        description = "There is none.",
        content = @Content(mediaType = ApiController.FAULT, schema = @Schema(implementation = ProblemDetail.class)))
@ApiResponse(
        responseCode = "429",
        description = "Too often; Retry-After says how many seconds to wait.",
        content = @Content(mediaType = ApiController.FAULT, schema = @Schema(implementation = ProblemDetail.class)))
class ApiController {

    static final String FAULT = MediaType.APPLICATION_PROBLEM_JSON_VALUE;

    private static final int MOST = 200;
    private static final String BATCHES = "/api/v1/batches";

    private final Summaries summaries;
    private final BatchService batches;
    private final Logbook logbook;
    private final Documents documents;
    private final EntryCodec codec;
    private final Clock clock;

    ApiController(
            Summaries summaries,
            BatchService batches,
            Logbook logbook,
            Documents documents,
            EntryCodec codec,
            Clock clock) {
        this.summaries = summaries;
        this.batches = batches;
        this.logbook = logbook;
        this.documents = documents;
        this.codec = codec;
        this.clock = clock;
    }

    @Operation(operationId = "listBatches", summary = "Batches, the youngest first")
    @ApiResponse(responseCode = "200", description = "That is it.", useReturnTypeSchema = true)
    @GetMapping(path = BATCHES, produces = MediaType.APPLICATION_JSON_VALUE)
    ListedBatches list(
            @Parameter(
                            description = "alive: neither released nor given up",
                            schema = @Schema(allowableValues = {"alive", "held", "ready", "abandoned", "all"}))
                    @RequestParam(defaultValue = "all")
                    String which,
            @Parameter(description = "Part of a name, a code, a mould or a fat") @RequestParam(defaultValue = "")
                    String find,
            @Parameter(description = "The next of the part before") @RequestParam(required = false) @Nullable
                    UUID after,
            @Parameter(schema = @Schema(type = "integer", minimum = "1", maximum = "200", defaultValue = "50"))
                    @RequestParam(defaultValue = "50")
                    int limit) {
        Summaries.Which of = Stream.of(Summaries.Which.values())
                .filter(w -> w.name().toLowerCase(Locale.ROOT).equals(which))
                .findFirst()
                .orElseThrow(() -> new NewLine.BadLine("which wants one of alive, held, ready, abandoned and all."));
        if (limit < 1 || limit > MOST) {
            throw new NewLine.BadLine("limit wants 1 to " + MOST + ".");
        }
        if (after != null && summaries.of(new BatchId(after)).isEmpty()) {
            throw new NewLine.BadLine("after wants the next of the part before; there is no such batch.");
        }
        Summaries.Page page = summaries.page(
                of, find, Optional.empty(), Optional.ofNullable(after).map(BatchId::new), limit);
        List<BatchSummary> found = page.batches();
        return new ListedBatches(
                found.stream().map(BatchState::of).toList(),
                page.more() ? found.get(found.size() - 1).id().value() : null);
    }

    @Operation(operationId = "getBatch", summary = "How a batch stands")
    @ApiResponse(responseCode = "200", description = "That is it.", useReturnTypeSchema = true)
    @GetMapping(path = BATCHES + "/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
    BatchState one(@PathVariable UUID id) {
        return summaries
                .of(new BatchId(id))
                .map(BatchState::of)
                .orElseThrow(() -> new NotFoundException("batch " + id));
    }

    @Operation(
            operationId = "getDocument",
            summary = "A batch as a document",
            description = "Plan, log and names of pictures, as batch.schema.json of docs/formats has it.",
            responses =
                    @ApiResponse(
                            responseCode = "200",
                            content = @Content(mediaType = "application/json", schema = @Schema(type = "object"))))
    @GetMapping(path = BATCHES + "/{id}/document", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> document(@PathVariable UUID id) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(documents.json(DocumentKind.BATCH, id).orElseThrow(() -> new NotFoundException("batch " + id)));
    }

    @Operation(operationId = "getLines", summary = "The log of a batch, with every revision")
    @ApiResponse(responseCode = "200", description = "That is it.", useReturnTypeSchema = true)
    @GetMapping(path = BATCHES + "/{id}/lines", produces = MediaType.APPLICATION_JSON_VALUE)
    LogState lines(
            @PathVariable UUID id,
            @Parameter(
                            description =
                                    "Only what was recorded then or later. A line is known by its id and revision:"
                                            + " what was told before may be told again.")
                    @RequestParam(required = false)
                    @Nullable
                    Instant since,
            @Parameter(hidden = true) @AuthenticationPrincipal Caller caller) {
        return LogState.of(
                batches.get(new BatchId(id)),
                since == null ? Instant.MIN : since,
                codec,
                caller.maker().formats());
    }

    @Operation(
            operationId = "addLine",
            summary = "Adds a line to a log",
            description =
                    "It is looked at as one that is typed at the bench is, signed with the token's name, and only ever"
                        + " taken back by a person. What it speaks for may hold the batch. Deeds (holding, releasing,"
                        + " giving up, settling what a bar has, putting back what was set apart) are left to persons.",
            requestBody =
                    @io.swagger.v3.oas.annotations.parameters.RequestBody(
                            required = true,
                            content =
                                    @Content(
                                            mediaType = "application/json",
                                            schema = @Schema(implementation = NewLine.class))))
    @ApiResponse(responseCode = "201", description = "It is on the disk.", useReturnTypeSchema = true)
    @ApiResponse(
            responseCode = "200",
            description = "It was sent before, and stands there once.",
            useReturnTypeSchema = true)
    @ApiResponse(
            responseCode = "409",
            description = "Another line was sent under this key, or the batch cannot be worked with.",
            content = @Content(mediaType = FAULT, schema = @Schema(implementation = ProblemDetail.class)))
    @ApiResponse(
            responseCode = "422",
            description =
                    "It cannot stand in this log, or is not understood; maybe has what it may have meant. Or something"
                            + " about it is asked first: doubts has what, and the line is kept when it comes again with"
                            + " their kinds in answers.",
            content = @Content(mediaType = FAULT, schema = @Schema(implementation = ProblemDetail.class)))
    @PostMapping(path = BATCHES + "/{id}/lines", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<AddedLines> add(
            @PathVariable UUID id,
            @Parameter(
                            description = "The same line sent twice under one key is added once. Without it, each is"
                                    + " another.",
                            schema = @Schema(maxLength = 200))
                    @RequestHeader(name = "Idempotency-Key", required = false)
                    @Nullable
                    String key,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.CONTENT_TYPE, defaultValue = "") String type,
            @RequestBody byte[] body,
            @Parameter(hidden = true) @AuthenticationPrincipal Caller caller) {
        if (!type.startsWith(MediaType.APPLICATION_JSON_VALUE)) {
            throw new NotJson();
        }
        NewLine line = NewLine.read(body);
        BatchId batchId = new BatchId(id);
        Batch batch = batches.get(batchId);
        Logbook.Reading read = line.entry() == null
                ? typed(batch, line, caller)
                : new Logbook.Reading(List.of(entry(line.entry())), Optional.empty(), List.of());
        read.entries().forEach(e -> checkScope(e, batch, caller));
        Instant now = clock.instant();
        Instant at = Optional.ofNullable(line.at()).or(read::at).orElse(now);
        TimeNotation.check("at", at, batch.log().begun(), now);
        BatchService.Taken taken = batches.log(
                batchId,
                read.entries(),
                at.isAfter(now) ? now : at,
                caller.signature(),
                key == null || key.isBlank() ? "" : caller.token() + " " + key,
                Answers.named(line.answers()));
        List<String> says = read.entries().stream()
                .map(e -> EntryWords.of(e, batch.names(), caller.maker().formats())
                        .text())
                .toList();
        return ResponseEntity.status(taken.before() ? HttpStatus.OK : HttpStatus.CREATED)
                .body(new AddedLines(taken.lines(), says, taken.before(), one(id)));
    }

    private Logbook.Reading typed(Batch batch, NewLine line, Caller caller) {
        Logbook.Reading read =
                logbook.understand(batch, String.valueOf(line.says()), "", Duration.ZERO, caller.maker());
        if (!read.problems().isEmpty()) {
            throw new NotUnderstood(read.problems(), Logbook.maybe(read.problems(), String.valueOf(line.says())));
        }
        if (read.at().isPresent() && line.at() != null) {
            throw new NewLine.BadLine("says names a moment, and at another: send one of them.");
        }
        return read;
    }

    private Entry entry(JsonNode sent) {
        try {
            Entry entry = codec.readStrictly(sent.toString());
            NewLine.checkWhole(sent, NewLine.tree(codec.write(entry)));
            return entry;
        } catch (ProblemsException e) {
            if (e.problems().stream().anyMatch(p -> p.key() == ProblemKey.MISSING)) {
                throw new NewLine.BadLine("entry lacks something that batch.schema.json wants of its type.");
            }
            throw e;
        } catch (JacksonException e) {
            throw new NewLine.BadLine("entry is none that batch.schema.json knows" + field(e) + ".");
        }
    }

    private static String field(JacksonException e) {
        String path = String.join(
                ".",
                e.getPath().stream()
                        .map(p -> p.getPropertyName() == null ? "[]" : p.getPropertyName())
                        .toList());
        return path.isEmpty() ? "" : ": look at " + NewLine.shortened(path);
    }

    private static void checkScope(Entry entry, Batch batch, Caller caller) {
        String words =
                EntryWords.of(entry, batch.names(), caller.maker().formats()).text();
        if (!Scope.isForPrograms(entry)) {
            throw new NotAllowed("A person does that before the batch, no program: " + words + ".");
        }
        if (caller.scopes().stream().noneMatch(s -> s.adds(entry))) {
            throw new NotAllowed(
                    "This token may " + Scope.MEASURE.words() + " alone, and that is none: " + words + ".");
        }
    }

    /** Whatever else is asked for under this roof is told as the rest is. */
    @Hidden
    @RequestMapping("/api/v1/**")
    ResponseEntity<Void> nothing() {
        throw new NotFoundException("such address");
    }

    /** A body of another kind. */
    static final class NotJson extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** Words that cannot be taken as they are. */
    static final class NotUnderstood extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final transient List<Problem> problems;
        private final transient List<Suggestion> maybe;

        NotUnderstood(List<Problem> problems, List<Suggestion> maybe) {
            super("not understood");
            this.problems = problems;
            this.maybe = maybe;
        }

        List<Problem> problems() {
            return problems;
        }

        /** What they may have meant, as lines that are understood. */
        List<Suggestion> maybe() {
            return maybe;
        }
    }

    /** Something that this token does not do. */
    static final class NotAllowed extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotAllowed(String message) {
            super(message);
        }
    }
}
