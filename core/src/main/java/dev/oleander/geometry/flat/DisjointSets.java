package dev.oleander.geometry.flat;

/** Things by number that are united bit by bit; of each set the lowest number leads. */
public final class DisjointSets {

    private final int[] parent;

    /** Each alone. */
    public DisjointSets(int size) {
        parent = new int[size];
        for (int i = 0; i < size; i++) {
            parent[i] = i;
        }
    }

    public int size() {
        return parent.length;
    }

    /** The lowest of the set that something is in. */
    public int leader(int of) {
        int leader = of;
        while (parent[leader] != leader) {
            parent[leader] = parent[parent[leader]];
            leader = parent[leader];
        }
        return leader;
    }

    /**
     * Makes the sets of two one.
     *
     * @return whether they were two
     */
    public boolean unite(int a, int b) {
        int first = leader(a);
        int second = leader(b);
        parent[Math.max(first, second)] = Math.min(first, second);
        return first != second;
    }
}
