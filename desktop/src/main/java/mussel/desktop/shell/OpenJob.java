package mussel.desktop.shell;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import mussel.core.job.Station;
import mussel.desktop.desk.StationView;
import mussel.work.desk.Desk;
import mussel.work.shop.Workshop;

/** The job in the window: one view for the yard's jobs and one for practice legs. A job opened later takes the place of the one before in its view. */
final class OpenJob {
    private final Workshop shop;
    private final Supplier<JobHeader> making;
    private final Consumer<String> onTrouble;
    private final Consumer<String> onHint;
    private Optional<JobHeader> header = Optional.empty();
    private Optional<JobView> yards = Optional.empty();
    private Optional<JobView> practice = Optional.empty();
    /** The one that is worked at; empty while none is. */
    private Optional<JobView> shown = Optional.empty();

    OpenJob(Workshop shop, Supplier<JobHeader> header, Consumer<String> onTrouble, Consumer<String> onHint) {
        this.shop = shop;
        this.making = header;
        this.onTrouble = onTrouble;
        this.onHint = onHint;
    }

    /** What stands over a job. */
    JobHeader header() {
        if (header.isEmpty()) {
            header = Optional.of(making.get());
        }
        return header.get();
    }

    /** The view of the yard's jobs with one in it. */
    JobView yards(int job) {
        if (yards.isEmpty()) {
            yards = Optional.of(view(new Desk(shop, job), Stations.makers()));
        } else {
            yards.get().sit(job);
        }
        return yards.get();
    }

    /** What prepares the view of the yard's jobs with one in it and each of its stations, out of sight: the first is kept as it is told. */
    Stream<Runnable> works(int job, Consumer<Supplier<JobView>> keep) {
        return Stream.concat(
                Stream.of(() -> keep.accept(() -> yards(job))),
                Stream.of(Station.values()).map(station -> () -> yards.ifPresent(v -> v.prepare(station))));
    }

    /** The view of practice legs with one in it, each in the shop over the practice log. */
    JobView practice(Workshop log, int job, Map<Station, Function<Desk, StationView>> makers) {
        if (practice.filter(v -> v.desk().shop() == log).isEmpty()) {
            practice = Optional.of(view(new Desk(log, job), makers));
        } else {
            practice.get().sit(job);
        }
        return practice.get();
    }

    private JobView view(Desk desk, Map<Station, Function<Desk, StationView>> makers) {
        desk.setOnTrouble(onTrouble);
        desk.setOnHint(onHint);
        desk.follow(is -> {
            if (shown.filter(v -> v.desk() == desk).isPresent()) {
                header().show(desk);
            }
        });
        return new JobView(desk, header().spine(), makers);
    }

    /** It is worked at from now on. */
    void show(JobView view) {
        shown = Optional.of(view);
        header().show(view.desk());
    }

    /** None is worked at. */
    void away() {
        shown = Optional.empty();
    }

    /** The one that is worked at; empty while none is. */
    Optional<JobView> shown() {
        return shown;
    }

    /** Whether a practice leg is worked at. */
    boolean practising() {
        return shown.isPresent() && shown.equals(practice);
    }

    /** What waits to be entered is entered. */
    void leave() {
        each().map(JobView::desk).forEach(Desk::leave);
    }

    /** Lets go of what is not shown; returns the views that go. */
    List<JobView> keepOnlyShown() {
        shown.ifPresent(JobView::keepOnlyShown);
        // A hold goes on while somebody looks at the bench.
        List<JobView> gone = each().filter(v -> !shown.equals(Optional.of(v)))
                .filter(v -> !v.running())
                .toList();
        gone.forEach(v -> v.desk().leave());
        yards = yards.filter(v -> !gone.contains(v));
        practice = practice.filter(v -> !gone.contains(v));
        return gone;
    }

    /** How much larger the type is than plain. */
    void setType(double share) {
        each().forEach(v -> v.setType(share));
    }

    private Stream<JobView> each() {
        return Stream.of(yards, practice).flatMap(Optional::stream);
    }
}
