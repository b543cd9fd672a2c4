package mussel.core.verdict;

import java.util.ArrayList;
import java.util.List;

/**
 * How a group of causes is enumerated: a few causes are fixed in turn (the cutset), after which the others fall into blocks that share no
 * finding and can be summed by themselves. The result is the same as walking through every subset of the group (Pearl 1988, cutset
 * conditioning), in a fraction of the time.
 *
 * @param cut the causes fixed in turn, as bits of the group
 * @param blocks the causes of each block, as bits of the group; at least one
 */
record Arrangement(int cut, List<Integer> blocks) {
    private static final int LARGEST_CUT = 3;
    /** Causes of a block that is not worth its own overhead. */
    private static final int SMALL = 4;

    Arrangement {
        blocks = List.copyOf(blocks);
    }

    /** The cheapest arrangement of a group of that many causes for findings with those scopes. */
    static Arrangement of(int causes, List<Integer> scopes) {
        Arrangement best = split(causes, scopes, 0);
        for (int cut = 1; cut < 1 << causes; cut = next(cut, causes)) {
            Arrangement candidate = split(causes, scopes, cut);
            if (candidate.cost() < best.cost()) {
                best = candidate;
            }
        }
        return best;
    }

    /** The next set of at most {@link #LARGEST_CUT} causes; one past the end after the last. */
    private static int next(int cut, int causes) {
        int following = cut + 1;
        while (following < 1 << causes && Integer.bitCount(following) > LARGEST_CUT) {
            following++;
        }
        return following;
    }

    private static Arrangement split(int causes, List<Integer> scopes, int cut) {
        int left = ((1 << causes) - 1) & ~cut;
        List<Integer> blocks = new ArrayList<>();
        while (left != 0) {
            int block = Integer.lowestOneBit(left);
            int before;
            do {
                before = block;
                for (int scope : scopes) {
                    int free = scope & ~cut;
                    if ((free & block) != 0) {
                        block |= free;
                    }
                }
            } while (block != before);
            blocks.add(block);
            left &= ~block;
        }
        if (blocks.isEmpty()) {
            blocks.add(0);
        }
        return new Arrangement(cut, blocks);
    }

    /** The same with small blocks put together while that costs next to nothing: each block has its overhead. */
    Arrangement packed() {
        List<Integer> packed = new ArrayList<>();
        int small = 0;
        for (int block : blocks) {
            if (Integer.bitCount(block) > SMALL) {
                packed.add(block);
            } else if (Integer.bitCount(small | block) > SMALL) {
                packed.add(small);
                small = block;
            } else {
                small |= block;
            }
        }
        if (small != 0 || packed.isEmpty()) {
            packed.add(small);
        }
        return new Arrangement(cut, packed);
    }

    /** Subsets walked through. */
    long cost() {
        long each = blocks.stream().mapToLong(b -> 1L << Integer.bitCount(b)).sum();
        return each << Integer.bitCount(cut);
    }

    /** The block that holds a scope's free causes; the first where all of them are fixed. */
    int blockOf(int scope) {
        for (int i = 0; i < blocks.size(); i++) {
            if ((blocks.get(i) & scope & ~cut) != 0) {
                return i;
            }
        }
        return 0;
    }
}
