package mussel.bench;

/**
 * A quarter of a soak.
 *
 * @param rounds how often everything was gone through
 * @param cpuS processor time a round (s)
 * @param longestPauseMs the longest pause of the collector (ms)
 * @param pausedShare the share of the time it paused (%)
 * @param liveMb what is left of the heap after a full collection (MB)
 * @param residentMb the most the process held in memory at the end of a round (MB)
 * @param threads threads at its end
 * @param files open files at its end
 * @param worstMs the longest the interface thread took to answer (ms)
 * @param slow what was being done when it took longest, with the time (ms)
 * @param grew the classes that hold more of the heap than at the end of the first quarter
 */
record SoakQuarter(
        int rounds,
        double cpuS,
        double longestPauseMs,
        double pausedShare,
        double liveMb,
        double residentMb,
        int threads,
        int files,
        double worstMs,
        String slow,
        String grew) {}
