#include "core/plan/judge.h"
#include "core/measure/length_text.h"
#include "core/plan/read_lines.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <numeric>

namespace eup {

const ReadLine* DrawnHand::line(ReadingKind kind, int number) const {
  for (const ReadLine& l : lines)
    if (l.kind == kind && l.number == number) return &l;
  return nullptr;
}

namespace {

class Judge {
public:
  Judge(const Plan& p, LengthUnit u) : plan(p), unit(u) {
    out.sheets = layOut(p);
    out.hands = drawnHands(p, out.sheets);
  }

  JudgedPlan all() {
    // A sheet whose known lengths or corners are no good says so itself; by its raw pixels everything would look at
    // fault.
    for (const LaidSheet& sheet : out.sheets)
      if (sheet.problem) return std::move(out);
    for (const DrawnHand& hand : out.hands) {
      for (const ReadLine& line : hand.lines) judgeLine(line);
      judgeBreak(hand);
      judgeTemplates(hand);
    }
    if (!out.hands.empty()) judgeSpacing(out.hands.front());
    if (out.hands.size() == 2) judgeHands();
    judgeThickness();
    for (Judgement& j : out.judgements)
      for (const Verdict& v : plan.verdicts)
        if (v.key == j.key) j.take = v.take;
    if (!out.hands.empty()) layout();
    return std::move(out);
  }

private:
  /// To a tenth of a millimetre: readings are no finer.
  std::string len(double mm) const {
    return unit == LengthUnit::mm ? formatLength(mm, unit, 1) + " mm" : told(mm, Quantity::length, unit);
  }
  std::string deg(double rad) const { return told(rad, Quantity::angle, unit); }
  std::string readingName(std::size_t i) const { return nameOf(plan.readings[i]); }

  bool taken(const std::string& key) const {
    for (const Verdict& v : plan.verdicts)
      if (v.key == key) return v.take;
    for (const Judgement& j : out.judgements)
      if (j.key == key) return j.take;
    return true;
  }

  static std::string keyOf(const ReadLine& l) {
    const char* what = l.kind == ReadingKind::leadingEdge    ? "leadingEdge"
                       : l.kind == ReadingKind::trailingEdge ? "trailingEdge"
                       : l.kind == ReadingKind::spar         ? "spar"
                                                             : "hinge";
    std::string key = fmt::format("line.{}.{}", name(l.hand), what);
    if (l.kind == ReadingKind::spar || l.kind == ReadingKind::hinge) key += std::to_string(l.number);
    return l.panel > 1 ? fmt::format("{}.panel{}", key, l.panel) : key;
  }
  static std::string wordsOf(const ReadLine& l, bool manyHands) {
    std::string words = l.kind == ReadingKind::leadingEdge    ? "LE"
                        : l.kind == ReadingKind::trailingEdge ? "TE"
                        : l.kind == ReadingKind::spar         ? fmt::format("Spar {} line", l.number)
                                                              : fmt::format("Hinge line {}", l.number);
    if (manyHands) words += fmt::format(", {}", name(l.hand));
    return l.panel > 1 ? fmt::format("{}, panel {}", words, l.panel) : words;
  }

  void judgeLine(const ReadLine& l) {
    if (l.readings.size() < 3) return;
    Judgement j;
    j.key = keyOf(l);
    const std::string line = wordsOf(l, out.hands.size() > 1);
    j.readings = l.readings;
    j.taken = "The straight line through the readings is used.";
    j.left = "Its first and last reading are used as they are.";
    j.fault = true;
    if (l.leftOut) {
      j.what = fmt::format("{}: {} lies {} off", line, readingName(*l.leftOut), len(l.leftOutBy));
      j.detail = fmt::format("The other {} readings are straight within {}.", l.readings.size() - 1, len(l.worst));
      j.taken = fmt::format("The line through the others is used, without {}.", readingName(*l.leftOut));
      j.readings = {*l.leftOut};
    } else if (l.knee && (l.kind == ReadingKind::leadingEdge || l.kind == ReadingKind::trailingEdge)) {
      return; // told once for both edges, as a hidden panel break
    } else if (l.knee) {
      j.what = fmt::format("{} has a knee of {} at {}", line, deg(std::abs(l.kneeAngle)), len(*l.knee));
      j.detail = fmt::format("Two straight lines fit; one straight line misses {} by {}.", readingName(l.worstReading),
                             len(l.worst));
    } else if (l.worst > plan_tolerance::line) {
      j.what = fmt::format("{} is bent: {} off straight at {}", line, len(std::abs(l.bow)), len(l.bowAt));
      j.detail = fmt::format("Against the straight line between its ends. The fitted line misses {} by {}, rms {}.",
                             readingName(l.worstReading), len(l.worst), len(l.rms));
    } else {
      j.fault = false;
      j.what = fmt::format("{} is straight within {}", line, len(l.worst));
      j.detail =
          fmt::format("{} readings, rms {}; worst is {}.", l.readings.size(), len(l.rms), readingName(l.worstReading));
    }
    out.judgements.push_back(std::move(j));
  }

  void judgeBreak(const DrawnHand& hand) {
    const ReadLine *le = hand.line(ReadingKind::leadingEdge), *te = hand.line(ReadingKind::trailingEdge);
    std::vector<const ReadLine*> kneed;
    for (const ReadLine* l : {le, te})
      if (l && l->knee) kneed.push_back(l);
    if (kneed.empty()) return;
    const double at =
        std::accumulate(kneed.begin(), kneed.end(), 0.0, [](double s, const ReadLine* l) { return s + *l->knee; }) /
        static_cast<double>(kneed.size());
    Judgement j;
    j.key = fmt::format("break.{}", name(hand.hand));
    j.fault = true;
    std::string between;
    for (std::size_t i = 1; i < hand.stations.size(); ++i)
      if (hand.stations[i - 1].second <= at && at <= hand.stations[i].second)
        between = fmt::format(", between R{} and R{}", hand.stations[i - 1].first, hand.stations[i].first);
    j.what = fmt::format("A panel break hides at {}{}{}", len(at), between,
                         out.hands.size() > 1 ? fmt::format(", {}", name(hand.hand)) : "");
    for (const ReadLine* l : kneed)
      j.detail += fmt::format("{} turns by {}. ", l == le ? "The LE" : "The TE", deg(std::abs(l->kneeAngle)));
    j.detail += "No panel joint was read there.";
    j.taken = "The wing is laid out as two panels that meet there, at the nearest rib.";
    j.left = "One straight panel is laid from root to tip.";
    for (const ReadLine* l : kneed) j.readings.insert(j.readings.end(), l->readings.begin(), l->readings.end());
    out.judgements.push_back(std::move(j));
  }

  void judgeTemplates(const DrawnHand& hand) {
    const ReadLine *le = hand.line(ReadingKind::leadingEdge), *te = hand.line(ReadingKind::trailingEdge);
    for (std::size_t i = 0; i < plan.readings.size(); ++i) {
      const Reading& r = plan.readings[i];
      if (r.kind != ReadingKind::ribTemplate || r.hand != hand.hand) continue;
      const auto find = [&](const std::vector<AtRib>& places) {
        return std::find_if(places.begin(), places.end(), [&](const AtRib& p) { return p.rib == r.number; });
      };
      const auto front = find(hand.leading), back = find(hand.trailing);
      double chord = 0;
      std::string how;
      if (front != hand.leading.end() && back != hand.trailing.end()) {
        chord = back->x - front->x;
        how = "between its LE and TE readings";
      } else if (const auto at = std::find_if(hand.stations.begin(), hand.stations.end(),
                                              [&](const auto& s) { return s.first == r.number; });
                 le && te && at != hand.stations.end()) {
        chord = te->at(at->second) - le->at(at->second);
        how = "between the fitted edges";
      } else {
        continue;
      }
      const double off = valueOf(r, out.sheets).value - chord;
      Judgement j;
      j.key = fmt::format("template.{}R{}", hand.hand == Hand::left ? "left." : "", r.number);
      j.fault = std::abs(off) > plan_tolerance::templateFit;
      j.what = j.fault ? fmt::format("R{} template {} {}", r.number, len(std::abs(off)), off < 0 ? "short" : "long")
                       : fmt::format("R{} template fits", r.number);
      j.detail =
          fmt::format("The template is {}; the plan's chord there, {}, is {}.", len(chord + off), how, len(chord));
      j.taken = "The chord on the plan is trusted; the rib is drawn anew to it.";
      j.left = "The plan's template is left as it is: nothing is taken from it.";
      j.readings = {i};
      out.judgements.push_back(std::move(j));
    }
  }

  struct Even {
    double bay, halfSpan;
    int bays;
  };
  std::optional<Even> evenBays(const std::vector<double>& stations) const {
    if (stations.size() < 3) return {};
    const int bays = static_cast<int>(stations.size()) - 1;
    const double span = stations.back() - stations.front(), mean = span / bays;
    // The coarsest sensible step that moves the tip by less than a quarter of a per cent.
    const std::vector<double> steps =
        unit == LengthUnit::inch
            ? std::vector{mmPerInch / 2, mmPerInch / 4, mmPerInch / 8, mmPerInch / 16, mmPerInch / 32}
            : std::vector{5.0, 2.5, 1.0, 0.5, 0.25};
    for (double step : steps) {
      const double bay = std::round(mean / step) * step;
      if (std::abs(bay - mean) * bays <= 0.0025 * span) return Even{bay, bay * bays, bays};
    }
    return Even{mean, span, bays};
  }

  /// Each panel has bays of its own.
  void judgeSpacing(const DrawnHand& hand) {
    const std::vector<std::size_t> ends = panelEnds(hand);
    for (std::size_t k = 0; k + 1 < ends.size(); ++k) judgeBays(hand, ends[k], ends[k + 1], static_cast<int>(k) + 1);
  }

  static std::string spacingKey(int panel) { return panel > 1 ? fmt::format("spacing.panel{}", panel) : "spacing"; }

  static std::vector<double> stationsOf(const DrawnHand& hand, std::size_t first, std::size_t last) {
    std::vector<double> out;
    for (std::size_t i = first; i <= last; ++i) out.push_back(hand.stations[i].second);
    return out;
  }

  void judgeBays(const DrawnHand& hand, std::size_t first, std::size_t last, int panel) {
    const auto even = evenBays(stationsOf(hand, first, last));
    if (!even) return;
    std::vector<double> bays;
    for (std::size_t i = first + 1; i <= last; ++i)
      bays.push_back(hand.stations[i].second - hand.stations[i - 1].second);
    const double mean = std::accumulate(bays.begin(), bays.end(), 0.0) / static_cast<double>(bays.size());
    double square = 0;
    for (double b : bays) square += (b - mean) * (b - mean);
    const double scatter = std::sqrt(square / static_cast<double>(bays.size()));
    std::vector<double> sorted = bays;
    std::nth_element(sorted.begin(), sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2), sorted.end());
    const double median = sorted[sorted.size() / 2];
    Judgement j;
    j.key = spacingKey(panel);
    std::string odd;
    for (std::size_t i = 0; i < bays.size(); ++i)
      if (std::abs(bays[i] - median) > plan_tolerance::spacing)
        odd += fmt::format("{}R{} to R{} {}", odd.empty() ? "" : ", ", hand.stations[first + i].first,
                           hand.stations[first + i + 1].first, len(bays[i]));
    j.fault = !odd.empty();
    const std::string of = panel > 1 ? fmt::format("Panel {}: ", panel) : "";
    j.what = j.fault ? fmt::format("{}Rib spacing wanders: {}", of, odd)
                     : fmt::format("{}Ribs are evenly spaced, {} apart", of, len(mean));
    j.detail = fmt::format("{} bays, mean {}, scatter {}.", bays.size(), len(mean), len(scatter));
    j.taken = fmt::format("{} even bays of {}: {} {}, the tip moves by {}.", even->bays, len(even->bay),
                          last - first + 1 == hand.stations.size() ? "half span" : "panel span", len(even->halfSpan),
                          len(even->halfSpan - (hand.stations[last].second - hand.stations[first].second)));
    j.left = "Every rib keeps the station that was read.";
    out.judgements.push_back(std::move(j));
  }

  void judgeHands() {
    const DrawnHand &a = out.hands[0], &b = out.hands[1];
    struct Worst {
      double by = 0;
      std::string words;
    } worst;
    const auto look = [&](double mine, double other, const std::string& what) {
      const double by = mine - other;
      if (std::abs(by) > std::abs(worst.by))
        worst = {by, fmt::format("{} is {} on the {} hand and {} on the {}", what, len(mine), name(a.hand), len(other),
                                 name(b.hand))};
    };
    const auto chord = [](const DrawnHand& h, int rib) -> std::optional<double> {
      for (const AtRib& f : h.leading)
        for (const AtRib& t : h.trailing)
          if (f.rib == rib && t.rib == rib) return t.x - f.x;
      return {};
    };
    int compared = 0;
    for (const auto& [rib, t] : a.stations)
      for (const auto& [other, u] : b.stations) {
        if (rib != other) continue;
        ++compared;
        look(t - a.stations.front().second, u - b.stations.front().second, fmt::format("R{}'s station", rib));
        if (const auto c = chord(a, rib), d = chord(b, rib); c && d) look(*c, *d, fmt::format("R{}'s chord", rib));
      }
    if (compared == 0) return;
    Judgement j;
    j.key = "hands";
    j.fault = std::abs(worst.by) > plan_tolerance::hands;
    j.what = j.fault ? fmt::format("Left and right differ by up to {}", len(std::abs(worst.by)))
                     : fmt::format("Left and right agree within {}", len(std::abs(worst.by)));
    j.detail =
        fmt::format("{} ribs drawn on both hands. {}.", compared, worst.words.empty() ? "No difference" : worst.words);
    j.taken = "The mean of both hands is used for both.";
    j.left = fmt::format("The {} hand alone is used for both.", name(a.hand));
    out.judgements.push_back(std::move(j));
  }

  std::map<int, double> thicknesses() const {
    std::map<int, double> out_;
    for (const Reading& r : plan.readings)
      if (r.kind == ReadingKind::ribThickness) out_[r.number] = valueOf(r, out.sheets).value;
    return out_;
  }

  /// What is sold that comes nearest to the thicknesses read: at either end of the wing, and for all between.
  struct RibStock {
    std::optional<double> root, tip, between;
  };
  RibStock stockRead() const {
    RibStock to;
    if (out.hands.empty() || out.hands.front().stations.empty()) return to;
    const double step = unit == LengthUnit::mm ? 0.5 : mmPerInch / 32;
    const auto stock = [&](double t) { return std::max(step, std::round(t / step) * step); };
    const int first = out.hands.front().stations.front().first, last = out.hands.front().stations.back().first;
    std::vector<double> between;
    for (const auto& [rib, t] : thicknesses()) {
      if (rib == first) to.root = stock(t);
      if (rib == last) to.tip = stock(t);
      if (rib != first && rib != last) between.push_back(t);
    }
    if (!between.empty()) to.between = stock(median(between));
    return to;
  }

  static double median(std::vector<double> v) {
    std::sort(v.begin(), v.end());
    return v[v.size() / 2];
  }

  void judgeThickness() {
    const auto all = thicknesses();
    if (all.size() < 2) return;
    std::vector<double> values;
    values.reserve(all.size());
    for (const auto& [rib, t] : all) values.push_back(t);
    const double usual = median(values);
    std::string odd;
    for (const auto& [rib, t] : all)
      if (std::abs(t - usual) > plan_tolerance::thickness)
        odd += fmt::format("{}R{} {}", odd.empty() ? "" : ", ", rib, len(t));
    Judgement j;
    j.key = "thickness";
    // End ribs are thicker on most plans; one between that differs is easily missed.
    const int first = all.begin()->first, last = all.rbegin()->first;
    j.fault = std::any_of(all.begin(), all.end(), [&](const auto& r) {
      return r.first != first && r.first != last && std::abs(r.second - usual) > plan_tolerance::thickness;
    });
    j.what = odd.empty() ? fmt::format("Ribs are of one thickness, {}", len(usual))
                         : fmt::format("Ribs of another thickness: {}", odd);
    j.detail = fmt::format("The usual rib is {}.", len(usual));
    const RibStock ribs = stockRead();
    std::string to;
    const auto takes = [&](const char* what, const std::optional<double>& stock) {
      if (stock) to += fmt::format("{}{} {}", to.empty() ? "" : ", ", what, len(*stock));
    };
    takes("the root rib takes", ribs.root);
    takes("the tip rib", ribs.tip);
    takes("all ribs between", ribs.between);
    if (!to.empty()) to.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(to.front())));
    j.taken = to.empty()
                  ? "None of the ribs that were read is one of the wing's: nothing is taken."
                  : fmt::format("{}, to the nearest {}.", to, unit == LengthUnit::mm ? "half millimetre" : "1/32 in");
    if (ribs.between && j.fault) j.taken += " A rib between that is of another thickness is not taken over: decide it.";
    j.left = "Rib thicknesses stay as they were decided.";
    out.judgements.push_back(std::move(j));
  }

  /// A line at two places: fitted, or through its first and last reading when its judgement was left.
  std::pair<double, double> at(const DrawnHand& hand, const ReadLine& l, double t0, double t1) const {
    if (taken(keyOf(l)) || l.readings.size() < 3) return {l.at(t0), l.at(t1)};
    const auto place = [&](std::size_t reading) {
      const Point p = inMm(plan.readings[reading], out.sheets)[0];
      return Point(hand.outwards * (p.x() - hand.x0), hand.aft * (p.y() - hand.y0));
    };
    const Point a = place(l.readings.front()), b = place(l.readings.back());
    const double slope = (b.y() - a.y()) / (b.x() - a.x());
    return {a.y() + slope * (t0 - a.x()), a.y() + slope * (t1 - a.x())};
  }

  /// Where panels begin and end, as indices of stations: the first and last rib, and those nearest to joints that were
  /// read or to a hidden break that is taken.
  std::vector<std::size_t> panelEnds(const DrawnHand& hand) const {
    std::vector<std::size_t> ends{0};
    const std::size_t last = hand.stations.size() - 1;
    std::vector<double> breaks = hand.joints;
    if (breaks.empty() && taken(fmt::format("break.{}", name(hand.hand)))) {
      std::optional<double> hidden;
      for (const ReadingKind kind : {ReadingKind::leadingEdge, ReadingKind::trailingEdge})
        if (const ReadLine* e = hand.line(kind); e && e->knee) hidden = std::max(hidden.value_or(0), *e->knee);
      if (hidden) breaks.push_back(*hidden);
    }
    for (double t : breaks) {
      std::size_t nearest = 0;
      for (std::size_t i = 0; i <= last; ++i)
        if (std::abs(hand.stations[i].second - t) < std::abs(hand.stations[nearest].second - t)) nearest = i;
      if (nearest > ends.back() && nearest < last) ends.push_back(nearest);
    }
    if (last > 0) ends.push_back(last);
    return ends;
  }

  /// One panel of a hand, between two of its stations.
  PlanLayout panelOf(const DrawnHand& hand, std::size_t first, std::size_t last, int panel, bool only) const {
    PlanLayout l;
    const double t0 = hand.stations[first].second, read = hand.stations[last].second;
    std::vector<double> stations = stationsOf(hand, first, last);
    const auto even = evenBays(stations);
    for (double& s : stations) s -= t0;
    if (even && taken(spacingKey(panel))) {
      l.evenRibs = even->bays + 1;
      l.halfSpan = even->halfSpan;
    } else {
      l.stations = std::move(stations);
      l.halfSpan = read - t0;
    }
    // Edges: the hand's own lines, or fitted anew over this panel's readings.
    const auto edge = [&](ReadingKind kind, const std::vector<AtRib>& places) -> std::optional<ReadLine> {
      const ReadLine* whole = hand.line(kind);
      if (only) return whole ? std::optional(*whole) : std::nullopt;
      std::vector<AtRib> mine;
      for (const AtRib& p : places)
        if (p.t >= t0 - 1 && p.t <= read + 1) mine.push_back(p);
      if (mine.size() < 2) return std::nullopt;
      ReadLine line = fitLine(mine);
      line.kind = kind;
      line.hand = hand.hand;
      line.panel = panel;
      return line;
    };
    const auto le = edge(ReadingKind::leadingEdge, hand.leading), te = edge(ReadingKind::trailingEdge, hand.trailing);
    if (!le || !te) return l;
    // Chords stay where the plan has them; evened bays move the tip by a hair, and the lines are followed there.
    const double t1 = t0 + *l.halfSpan;
    const auto [front0, front1] = at(hand, *le, t0, t1);
    const auto [rear0, rear1] = at(hand, *te, t0, t1);
    l.rootChord = rear0 - front0;
    l.tipChord = rear1 - front1;
    l.tipSetback = front1 - front0;
    for (const ReadLine& s : hand.lines) {
      if (s.kind != ReadingKind::spar || s.panel != (hand.joints.empty() ? 1 : panel)) continue;
      const auto [a, b] = at(hand, s, t0, t1);
      l.spars.push_back({s.number, (a - front0) / *l.rootChord, (b - front1) / *l.tipChord});
    }
    for (const ReadLine& s : hand.lines) {
      if (s.kind != ReadingKind::hinge || s.panel != (hand.joints.empty() ? 1 : panel)) continue;
      const double from = std::clamp(s.from, t0, t1), to = std::clamp(s.to, t0, t1);
      if (to - from < 1) continue;
      const auto [a, b] = at(hand, s, from, to);
      const auto share = [&, nose0 = front0, nose1 = front1](double t, double x) {
        const double along = (t - t0) / (t1 - t0), front = nose0 + (nose1 - nose0) * along;
        return (x - front) / (*l.rootChord + (*l.tipChord - *l.rootChord) * along);
      };
      l.hinges.push_back({s.number, from - t0, to - t0, share(from, a), share(to, b)});
    }
    return l;
  }

  PlanLayout layoutOf(const DrawnHand& hand) const {
    if (hand.stations.size() < 2) return {};
    const std::vector<std::size_t> ends = panelEnds(hand);
    PlanLayout l = panelOf(hand, ends[0], ends[1], 1, ends.size() == 2);
    for (std::size_t k = 1; k + 1 < ends.size(); ++k)
      l.outer.push_back(panelOf(hand, ends[k], ends[k + 1], static_cast<int>(k) + 1, false));
    return l;
  }

  static void takeMean(PlanLayout& l, const PlanLayout& other) {
    const auto mean = [](std::optional<double>& a, const std::optional<double>& b) {
      if (a && b) a = (*a + *b) / 2;
    };
    mean(l.rootChord, other.rootChord);
    mean(l.tipChord, other.tipChord);
    mean(l.tipSetback, other.tipSetback);
    if (l.stations && other.stations && l.stations->size() == other.stations->size()) {
      mean(l.halfSpan, other.halfSpan);
      for (std::size_t i = 0; i < l.stations->size(); ++i)
        (*l.stations)[i] = ((*l.stations)[i] + (*other.stations)[i]) / 2;
    }
    for (PlanLayout::Line& s : l.spars)
      for (const PlanLayout::Line& o : other.spars)
        if (o.number == s.number)
          s.rootFraction = (s.rootFraction + o.rootFraction) / 2, s.tipFraction = (s.tipFraction + o.tipFraction) / 2;
    for (std::size_t k = 0; k < std::min(l.outer.size(), other.outer.size()); ++k) takeMean(l.outer[k], other.outer[k]);
  }

  void layout() {
    out.layout = layoutOf(out.hands.front());
    if (out.hands.size() == 2 && taken("hands")) takeMean(out.layout, layoutOf(out.hands[1]));
    const bool known =
        std::any_of(out.judgements.begin(), out.judgements.end(), [](const auto& j) { return j.key == "thickness"; });
    if (!known || !taken("thickness")) return;
    const RibStock ribs = stockRead();
    PlanLayout& outermost = out.layout.outer.empty() ? out.layout : out.layout.outer.back();
    out.layout.rootThickness = ribs.root;
    outermost.tipThickness = ribs.tip;
    out.layout.thickness = ribs.between;
    for (PlanLayout& panel : out.layout.outer) panel.thickness = ribs.between;
  }

  const Plan& plan;
  LengthUnit unit;
  JudgedPlan out;
};

} // namespace

JudgedPlan judge(const Plan& plan, LengthUnit unit) {
  return Judge(plan, unit).all();
}

} // namespace eup
