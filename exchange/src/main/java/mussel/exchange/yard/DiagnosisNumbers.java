package mussel.exchange.yard;

import java.util.List;
import mussel.core.measure.Kind;
import mussel.core.yard.YardTable;
import mussel.core.yard.YardTable.As;
import mussel.core.yard.YardTable.Column;

/** The tables of the shop's own numbers in place of those of the diagnosis tables. */
final class DiagnosisNumbers {
    static final List<YardTable> ALL = List.of(
            new YardTable(
                    "priors",
                    "tables",
                    "Its own priors of the diagnosis tables",
                    "/tables/priors",
                    true,
                    List.of(
                            Column.text("/cause", "cause", "ds_seal_worn"),
                            Column.bare("/prior", "prior", "12 %", As.SHARE),
                            Column.text("/why", "because", "found in 9 of 60 legs")),
                    "In place of the number that ships; the ids stand in the tables (Verdict, Tables)."),
            new YardTable(
                    "shares",
                    "tables",
                    "Its own shares of the diagnosis tables",
                    "/tables/shares",
                    true,
                    List.of(
                            Column.text("/finding", "finding", "oil_water"),
                            Column.text("/cause", "cause, or base", "base"),
                            Column.bare("/shares", "shares, outcome by outcome", "80; 10; 5; 4; 1 %", As.SHARES),
                            Column.text("/why", "because", "")),
                    ""),
            new YardTable(
                    "costs",
                    "tables",
                    "Its own costs of doing and of leaving",
                    "/tables/costs",
                    true,
                    List.of(
                            Column.text("/goal", "goal", "its id in the sheet"),
                            Column.bare("/marginal_hours", "hours of doing it", "3", As.NUMBER),
                            Column.bare("/comeback_hours", "hours when it comes back", "9", As.NUMBER),
                            Column.figure("/marginal_cost", "or: doing it costs", "210", Kind.MONEY),
                            Column.figure("/comeback_cost", "when it comes back", "640", Kind.MONEY),
                            Column.text("/why", "because", "")),
                    "In hours, which follow the labour rate, or in money, which does not."),
            new YardTable(
                    "repairs",
                    "tables",
                    "Hours and chances of repairs",
                    "/tables/repairs",
                    true,
                    List.of(
                            Column.text(
                                    "/number",
                                    "number",
                                    "visit_hours, stage_hours, check_hours, spoils_hours or brings_back"),
                            Column.text("/of", "of", "a stage, a final check or a cause; nothing for a visit"),
                            Column.bare("/value", "hours, or a chance of 0 to 1", "1.5", As.NUMBER),
                            Column.text("/why", "because", "")),
                    "What taking it apart takes here, and what a fault that is left in does."));

    private DiagnosisNumbers() {}
}
