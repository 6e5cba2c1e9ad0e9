package io.causticon.core.model.said.vocabulary;

import io.causticon.core.model.finding.Findings;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.miscellaneous.PerFieldAnalyzerWrapper;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.FuzzyQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.similarities.BM25Similarity;
import org.apache.lucene.store.ByteBuffersDirectory;

/**
 * Which findings a maker's own words may mean. Each way of saying a finding is searched by itself, and all ways of one
 * together; a word counts as it stands, by its kindred, and by its near spellings. Okapi BM25 weighs them: Robertson
 * and Zaragoza, Found. Trends Inf. Retr. 3 (2009) 333.
 */
public final class FindingSearch {

    private static final String PLAIN = "plain";
    private static final String KINDRED = "kindred";
    private static final String FINDING = "finding";

    // Weights chosen on phrases that were heard while this was built, the table then without them; each may move by a
    // third without harm.
    private static final float PLAIN_WEIGHT = 1;
    private static final float KINDRED_WEIGHT = 0.7f;
    private static final float NEAR_WEIGHT = 0.7f;
    private static final double WHOLE_WEIGHT = 2;
    private static final float K1 = 0.9f;
    private static final float B = 0.7f;
    private static final int SHORTEST_FOR_NEAR = 5;
    private static final int MOST = 200;
    private static final int LONGEST = 40;

    private final Analyzer plain = TradeAnalyzers.plain();
    private final Analyzer kindred = TradeAnalyzers.kindred();
    private final IndexSearcher sayings;
    private final IndexSearcher wholes;

    private static final class Standard {
        private static final FindingSearch SEARCH = new FindingSearch(Saying.all());
    }

    FindingSearch(List<Saying> all) {
        this.sayings = searcher(all);
        Map<String, String> together =
                all.stream().collect(Collectors.toMap(Saying::finding, Saying::said, (a, b) -> a + ". " + b));
        this.wholes = searcher(together.entrySet().stream()
                .map(e -> new Saying(e.getKey(), e.getValue()))
                .toList());
    }

    /** Over all that is known; made when it is first asked for. */
    public static FindingSearch standard() {
        return Standard.SEARCH;
    }

    private IndexSearcher searcher(List<Saying> all) {
        try {
            ByteBuffersDirectory memory = new ByteBuffersDirectory();
            IndexWriterConfig config = new IndexWriterConfig(
                            new PerFieldAnalyzerWrapper(plain, Map.of(KINDRED, kindred)))
                    .setSimilarity(new BM25Similarity(K1, B));
            try (IndexWriter writer = new IndexWriter(memory, config)) {
                for (Saying saying : all) {
                    Document document = new Document();
                    document.add(new StringField(FINDING, saying.finding(), Field.Store.YES));
                    document.add(new TextField(PLAIN, saying.said(), Field.Store.NO));
                    document.add(new TextField(KINDRED, saying.said(), Field.Store.NO));
                    writer.addDocument(document);
                }
            }
            IndexSearcher searcher = new IndexSearcher(DirectoryReader.open(memory));
            searcher.setSimilarity(new BM25Similarity(K1, B));
            return searcher;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What words may mean, the likeliest first; nothing where no word is known.
     *
     * @param most how many at most
     */
    public List<Guess> guesses(String words, int most) {
        Query query = query(words);
        Map<String, Double> scores = new HashMap<>();
        best(sayings, query).forEach((finding, score) -> scores.merge(finding, score, Double::sum));
        best(wholes, query).forEach((finding, score) -> scores.merge(finding, WHOLE_WEIGHT * score, Double::sum));
        return scores.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(most)
                .map(e -> new Guess(Findings.find(e.getKey()).orElseThrow(), e.getValue()))
                .toList();
    }

    private static Map<String, Double> best(IndexSearcher searcher, Query query) {
        try {
            Map<String, Double> best = new HashMap<>();
            StoredFields fields = searcher.storedFields();
            for (ScoreDoc hit : searcher.search(query, MOST).scoreDocs) {
                best.merge(fields.document(hit.doc).get(FINDING), (double) hit.score, Math::max);
            }
            return best;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Query query(String words) {
        BooleanQuery.Builder query = new BooleanQuery.Builder();
        // Beyond a sentence or two nothing more is learned, and each word costs a search.
        for (String word : words(plain, words)) {
            query.add(new BoostQuery(new TermQuery(new Term(PLAIN, word)), PLAIN_WEIGHT), BooleanClause.Occur.SHOULD);
            if (word.length() >= SHORTEST_FOR_NEAR) {
                query.add(
                        new BoostQuery(new FuzzyQuery(new Term(PLAIN, word), 1, 2), NEAR_WEIGHT),
                        BooleanClause.Occur.SHOULD);
            }
        }
        for (String word : words(kindred, words)) {
            query.add(
                    new BoostQuery(new TermQuery(new Term(KINDRED, word)), KINDRED_WEIGHT), BooleanClause.Occur.SHOULD);
        }
        return query.build();
    }

    private static List<String> words(Analyzer analyzer, String said) {
        return TradeAnalyzers.tokens(analyzer, said).stream()
                .distinct()
                .limit(LONGEST)
                .toList();
    }
}
