package mussel.exchange.record;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;

/** Files as bad disks, editors and mail programs leave them. */
public final class Mutations {
    private static final String[] WORDS = {
        "null", "-1", "1e999", "\"\"", "[]", "{}", "true", "\u0000", "\"entries\"", "9999999999"
    };

    private Mutations() {}

    /** A few changes to a sound file. */
    public static byte[] of(byte[] sound, Random random) {
        byte[] bytes = sound.clone();
        int times = 1 + random.nextInt(3);
        for (int i = 0; i < times && bytes.length > 2; i++) {
            bytes = once(bytes, random);
        }
        return bytes;
    }

    private static byte[] once(byte[] bytes, Random random) {
        int at = random.nextInt(bytes.length);
        int length = Math.min(bytes.length - at, 1 + random.nextInt(40));
        switch (random.nextInt(6)) {
            case 0 -> {
                bytes[at] ^= (byte) (1 << random.nextInt(8));
                return bytes;
            }
            case 1 -> {
                return joined(bytes, at, new byte[0], at + length);
            }
            case 2 -> {
                return joined(bytes, at, Arrays.copyOfRange(bytes, at, at + length), at);
            }
            case 3 -> {
                return Arrays.copyOf(bytes, at);
            }
            case 4 -> {
                byte[] word = WORDS[random.nextInt(WORDS.length)].getBytes(StandardCharsets.UTF_8);
                return joined(bytes, at, word, Math.min(bytes.length, at + random.nextInt(8)));
            }
            default -> {
                bytes[at] = (byte) ('0' + random.nextInt(10));
                return bytes;
            }
        }
    }

    private static byte[] joined(byte[] bytes, int to, byte[] middle, int from) {
        byte[] all = Arrays.copyOf(bytes, to + middle.length + bytes.length - from);
        System.arraycopy(middle, 0, all, to, middle.length);
        System.arraycopy(bytes, from, all, to + middle.length, bytes.length - from);
        return all;
    }
}
