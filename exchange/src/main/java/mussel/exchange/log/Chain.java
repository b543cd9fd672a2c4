package mussel.exchange.log;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import mussel.core.job.Entry;
import mussel.exchange.job.FactJson;

/**
 * The chain of a job's entries. Each carries a seal of its own, over all it says, and a link over that and its forerunner's link: an entry that was
 * edited does not fit its seal, one that was dropped, moved or slipped in breaks the links. Both are SHA-256 (FIPS 180-4), cut to sixteen
 * bytes. It finds mishaps and careless hands; whoever means to deceive and knows how can make the whole chain anew.
 */
public final class Chain {
    /** The bytes of a seal, and of a link. */
    public static final int BYTES = 16;

    private static final byte[] START = new byte[BYTES];

    private Chain() {}

    /** The link before a job's first entry. */
    public static byte[] start() {
        return START.clone();
    }

    /** The seal of an entry as it is kept. */
    public static byte[] seal(long seq, int job, String at, String by, String fact) {
        MessageDigest digest = sha256();
        digest.update(ByteBuffer.allocate(12).putLong(seq).putInt(job).array());
        for (String part : List.of(at, by, fact)) {
            byte[] bytes = part.getBytes(StandardCharsets.UTF_8);
            digest.update(ByteBuffer.allocate(4).putInt(bytes.length).array());
            digest.update(bytes);
        }
        return Arrays.copyOf(digest.digest(), BYTES);
    }

    /** The link of an entry to the one before. */
    public static byte[] link(byte[] before, byte[] seal) {
        MessageDigest digest = sha256();
        digest.update(before);
        digest.update(seal);
        return Arrays.copyOf(digest.digest(), BYTES);
    }

    /** What an entry carries: its seal, then its link. */
    public static byte[] carried(byte[] seal, byte[] link) {
        byte[] both = Arrays.copyOf(seal, 2 * BYTES);
        System.arraycopy(link, 0, both, BYTES, BYTES);
        return both;
    }

    /** The seal of what an entry carries. */
    public static byte[] sealOf(byte[] carried) {
        return Arrays.copyOf(carried, BYTES);
    }

    /** The link of what an entry carries. */
    public static byte[] linkOf(byte[] carried) {
        return Arrays.copyOfRange(carried, BYTES, 2 * BYTES);
    }

    /** The last link of a job's entries, as a file of them states it (hexadecimal). */
    public static String head(List<Entry> entries) {
        byte[] link = START;
        for (Entry e : entries) {
            link = link(link, seal(e.seq(), e.job(), at(e.at()), e.by(), FactJson.write(e.fact())));
        }
        return HexFormat.of().formatHex(link);
    }

    /** A moment as the journal keeps it. */
    public static String at(Instant at) {
        return at.toString();
    }

    /** The digest of a job's head in the list of all jobs, or of a setting among all: sums of such are taken by {@link #sum}. */
    public static byte[] digest(Object... parts) {
        MessageDigest digest = sha256();
        for (Object part : parts) {
            byte[] bytes =
                    part instanceof byte[] raw ? raw : String.valueOf(part).getBytes(StandardCharsets.UTF_8);
            digest.update(ByteBuffer.allocate(4).putInt(bytes.length).array());
            digest.update(bytes);
        }
        return Arrays.copyOf(digest.digest(), BYTES);
    }

    /** A sum that does not ask for an order: adding what is in it takes it out again. */
    public static byte[] sum(byte[] sum, byte[] each) {
        byte[] other = sum.clone();
        for (int i = 0; i < BYTES; i++) {
            other[i] ^= each[i];
        }
        return other;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
