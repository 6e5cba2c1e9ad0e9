package io.causticon.core.model.said.vocabulary;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.CharArraySet;
import org.apache.lucene.analysis.LowerCaseFilter;
import org.apache.lucene.analysis.StopFilter;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.Tokenizer;
import org.apache.lucene.analysis.en.EnglishPossessiveFilter;
import org.apache.lucene.analysis.en.PorterStemFilter;
import org.apache.lucene.analysis.standard.StandardTokenizer;
import org.apache.lucene.analysis.synonym.SynonymGraphFilter;
import org.apache.lucene.analysis.synonym.SynonymMap;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.util.CharsRef;

/**
 * How words of the trade are taken apart: as they stand, without their endings and in one spelling; and by what kindred
 * words have in common.
 */
final class TradeAnalyzers {

    /** Words that say nothing of a bar. "Not" does. */
    private static final CharArraySet STOP = new CharArraySet(
            List.of(
                    "a", "an", "the", "and", "or", "of", "it", "its", "is", "was", "were", "be", "been", "am", "are",
                    "i", "me", "my", "we", "our", "you", "he", "she", "him", "to", "in", "on", "at", "for", "that",
                    "this", "these", "those", "there", "has", "have", "had", "as", "so", "than", "then", "from", "by",
                    "with", "when", "where", "if", "but", "do", "did", "just", "like", "some", "any", "bit", "very",
                    "really", "quite", "rather", "even", "again", "also", "too", "will", "would", "could", "can", "got",
                    "get", "gets", "went", "go", "goes", "came", "come", "comes", "see", "seen", "looks", "look",
                    "looking", "feels", "feel", "felt", "made", "make", "makes", "how"),
            true);

    private TradeAnalyzers() {}

    /** Each word by itself. */
    static Analyzer plain() {
        return analyzer(spellings(), null);
    }

    /** Each word by what it has in common with others; one that has nothing in common by itself. */
    static Analyzer kindred() {
        return analyzer(spellings(), concepts());
    }

    private static Analyzer analyzer(SynonymMap spellings, SynonymMap concepts) {
        return new Analyzer() {
            @Override
            protected TokenStreamComponents createComponents(String field) {
                Tokenizer words = new StandardTokenizer();
                TokenStream stems = stems(words, spellings);
                return new TokenStreamComponents(
                        words, concepts == null ? stems : new SynonymGraphFilter(stems, concepts, true));
            }
        };
    }

    private static TokenStream stems(Tokenizer words, SynonymMap spellings) {
        TokenStream small = new EnglishPossessiveFilter(new LowerCaseFilter(words));
        TokenStream spelt = new SynonymGraphFilter(small, spellings, true);
        return new PorterStemFilter(new StopFilter(spelt, STOP));
    }

    private static SynonymMap spellings() {
        SynonymMap.Builder spellings = new SynonymMap.Builder(true);
        for (CSVRecord row : WordTable.rows("spellings.csv")) {
            spellings.add(new CharsRef(row.get("written")), new CharsRef(row.get("meant")), false);
        }
        return built(spellings);
    }

    /** Words of one concept become its name, and stay what they are where they belong to none. */
    private static SynonymMap concepts() {
        SynonymMap.Builder concepts = new SynonymMap.Builder(true);
        SynonymMap spellings = spellings();
        for (CSVRecord row : WordTable.rows("concepts.csv")) {
            for (String word : row.get("words").split(" ")) {
                for (String stem : stemsOf(word, spellings)) {
                    concepts.add(new CharsRef(stem), new CharsRef("=" + row.get("concept")), false);
                }
            }
        }
        return built(concepts);
    }

    private static List<String> stemsOf(String word, SynonymMap spellings) {
        try (Analyzer analyzer = analyzer(spellings, null)) {
            return tokens(analyzer, word);
        }
    }

    /** What is left of words. */
    static List<String> tokens(Analyzer analyzer, String words) {
        try (TokenStream stream = analyzer.tokenStream("", words)) {
            List<String> tokens = new ArrayList<>();
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                tokens.add(term.toString());
            }
            stream.end();
            return tokens;
        } catch (IOException e) {
            throw new IllegalStateException("Impossible state: words in memory cannot be read", e);
        }
    }

    private static SynonymMap built(SynonymMap.Builder builder) {
        try {
            return builder.build();
        } catch (IOException e) {
            throw new IllegalStateException("Impossible state: words in memory cannot be read", e);
        }
    }
}
