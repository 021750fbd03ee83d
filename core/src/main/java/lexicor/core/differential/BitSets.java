package lexicor.core.differential;

import java.util.BitSet;

/** States as sets of bits, which can be compared. */
final class BitSets {

    private BitSets() {}

    /** The places at which a state is true. */
    static BitSet of(boolean[] state) {
        BitSet bits = new BitSet(state.length);
        for (int i = 0; i < state.length; i++) {
            if (state[i]) {
                bits.set(i);
            }
        }
        return bits;
    }
}
