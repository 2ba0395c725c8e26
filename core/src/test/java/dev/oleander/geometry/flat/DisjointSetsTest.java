package dev.oleander.geometry.flat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class DisjointSetsTest {

    /** Against colours that are painted over. */
    @Test
    void whatIsUnitedHasOneLeaderAndItIsTheLowest() {
        Random random = new Random(5);
        int n = 60;
        DisjointSets sets = new DisjointSets(n);
        int[] colour = new int[n];
        for (int i = 0; i < n; i++) {
            colour[i] = i;
        }
        for (int step = 0; step < 80; step++) {
            int a = random.nextInt(n);
            int b = random.nextInt(n);
            assertThat(sets.unite(a, b)).isEqualTo(colour[a] != colour[b]);
            int low = Math.min(colour[a], colour[b]);
            int high = Math.max(colour[a], colour[b]);
            for (int i = 0; i < n; i++) {
                colour[i] = colour[i] == high ? low : colour[i];
                assertThat(sets.leader(i)).isEqualTo(colour[i]);
            }
        }
    }
}
