package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * A recipe as a short text, for a message or a code on paper: {@code CAUSTICON-RECIPE-1:} and the plan as it is kept,
 * packed, with a sum at the end that tells a letter that was lost.
 */
final class RecipeText {

    private static final String HEAD = "CAUSTICON-RECIPE-1:";
    private static final Pattern TEXT = Pattern.compile("CAUSTICON-RECIPE-(\\d{1,4}):([A-Za-z0-9_-]+)\\.([0-9a-f]{8})");

    /** No plan is longer. */
    private static final int LONGEST = 64 * 1024;

    /**
     * Words that stand in every plan, so that they need not be told each time. Never changed: what was written with it
     * is read with it.
     */
    private static final byte[] COMMON =
            ("{\"name\":\"\",\"fats\":[{\"id\":\"olive-oil\",\"grams\":,\"lot\":null,\"certified\":null,\"own\":null,\"afterCook\":null},"
                + "{\"id\":\"coconut-oil-76\",\"castor-oil\",\"shea-butter\",\"lard\",\"palm-oil\"}],\"naohShare\":1.0,\"naohPurity\":0.98,\"kohPurity\":0.9,\"kohCertified\":false,"
                + "\"superfat\":0.05,\"liquidWay\":\"LYE_CONCENTRATION\",\"liquidValue\":0.33,\"liquids\":[{\"id\":\"distilled-water\",\"share\":1.0,\"frozen\":null,\"joins\":\"LYE\","
                + "\"state\":\"LIQUID\"}],\"additives\":[{\"id\":\"\",\"grams\":,\"way\":\"GRAMS\",\"value\":,\"joins\":\"TRACE\"}],\"process\":\"COLD\",\"gel\":\"EITHER\",\"mould\":{\"name\":\"\","
                + "\"kind\":\"WOODEN_LOAF\",\"length\":,\"width\":,\"height\":,\"cavities\":1},\"mixAt\":40.0,\"fatStep\":1.0,\"lyeStep\":0.1,\"pouring\":{\"sizedBy\":\"MOULD\",\"fillHeight\":null,"
                + "\"overage\":0.0,\"spare\":null,\"thickness\":,\"way\":\"NONE\",\"stuck\":,\"portions\":[],\"bowl\":null,\"route\":\"TOGETHER\",\"cupGrams\":null},\"lyeVessel\":{\"name\":\"\","
                + "\"material\":\"STAINLESS_STEEL\",\"mass\":{\"grams\":}},\"fatsVessel\":null,\"freezer\":-18.0,\"lyeGrams\":null,\"liquidGrams\":null,\"oven\":null,\"rework\":null,\"note\":\"\"}")
                    .getBytes(StandardCharsets.UTF_8);

    private RecipeText() {}

    static String write(String plan) {
        byte[] text = plan.getBytes(StandardCharsets.UTF_8);
        Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION, true);
        try {
            deflater.setDictionary(COMMON);
            deflater.setInput(text);
            deflater.finish();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            byte[] some = new byte[1024];
            while (!deflater.finished()) {
                out.write(some, 0, deflater.deflate(some));
            }
            return HEAD + Base64.getUrlEncoder().withoutPadding().encodeToString(out.toByteArray()) + "." + sum(text);
        } finally {
            deflater.end();
        }
    }

    private static String sum(byte[] text) {
        CRC32 sum = new CRC32();
        sum.update(text);
        return String.format(Locale.ROOT, "%08x", sum.getValue());
    }

    /**
     * The plan in a text, wherever in it the recipe stands, and however it was broken into lines.
     *
     * @throws DocumentFault if there is none in it, or if a letter of it was lost
     */
    static String read(String typed) {
        Matcher m = TEXT.matcher(typed.replaceAll("[\\s\u00a0]+", ""));
        if (!m.find()) {
            throw new DocumentFault("There is no recipe in this text. One begins with " + HEAD
                    + " and ends with a point and eight letters.");
        }
        if (!m.group(1).equals("1")) {
            throw new DocumentFault("This recipe was written by a newer Causticon.");
        }
        byte[] plan = unpacked(m.group(2));
        if (!sum(plan).equals(m.group(3))) {
            throw new DocumentFault("A letter of this text was lost or changed on its way. Copy all of it.");
        }
        return new String(plan, StandardCharsets.UTF_8);
    }

    private static byte[] unpacked(String packed) {
        Inflater inflater = new Inflater(true);
        try {
            inflater.setDictionary(COMMON);
            inflater.setInput(Base64.getUrlDecoder().decode(packed));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            byte[] some = new byte[4096];
            while (!inflater.finished()) {
                int n = inflater.inflate(some);
                if (n == 0 && (inflater.needsInput() || inflater.needsDictionary()) || out.size() + n > LONGEST) {
                    break;
                }
                out.write(some, 0, n);
            }
            return out.toByteArray();
        } catch (DataFormatException | IllegalArgumentException e) {
            return new byte[0];
        } finally {
            inflater.end();
        }
    }
}
