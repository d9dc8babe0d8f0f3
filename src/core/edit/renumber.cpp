#include "core/edit/renumber.h"
#include "core/described/visitor.h"

namespace eup {
namespace {

/// Goes through all decisions and changes none.
class Through : public Visitor {
public:
  using Visitor::group;
  void group(const char*, Topic, int, Inside inside) override { inside(); }
  void hidden(const char*, Inside) override {}
  void items(const char*, Topic, ListRef list, int, bool, Each each) override {
    for (std::size_t i = 0; i < list.size(); ++i) each(i);
  }
  void length(const char*, const char*, double&, Limits, bool) override {}
  void angle(const char*, const char*, double&, Limits, bool) override {}
  void fraction(const char*, const char*, double&, Limits, bool) override {}
  void number(const char*, const char*, double&, Limits, bool) override {}
  void mass(const char*, const char*, double&, Limits, bool) override {}
  void count(const char*, const char*, int&, Limits, bool) override {}
  void flag(const char*, const char*, bool&, bool) override {}
  void text(const char*, const char*, std::string&, bool) override {}
  void freeText(const char*, std::string&) override {}
  void lasting(const char*, int&) override {}
  void day(const char*, const char*, std::string&) override {}
  void digits(const char*, const char*, std::string&, bool) override {}
  void listed(const char*, const char*, std::string&, Shelf, bool) override {}
  void stations(const char*, const char*, std::vector<double>&, bool) override {}
  void numbers(const char*, const char*, std::vector<int>&, bool) override {}
  void shares(const char*, const char*, std::vector<double>&, bool) override {}
  void points(const char*, Polyline&, std::size_t) override {}
  void outline(const char*, const char*, Polyline&, bool) override {}
  void bytes(const char*, EmbeddedCopy&) override {}
  void dihedral(const char*, Dihedral&, double, bool) override {}
  void chosen(const char*, const char*, std::size_t&, std::span<const Choice>, bool) override {}
};

class Panels : public Through {
public:
  Panels(int ofWing, const std::function<int(int)>& place) : changed(ofWing), now(place) {}
  void panel(int of, const char*, const char*, int& v, bool) override {
    if (of == changed) v = now(v - 1) + 1;
  }

private:
  int changed;
  const std::function<int(int)>& now;
};

class Wings : public Through {
public:
  explicit Wings(const std::function<int(int)>& place) : now(place) {}
  void wing(const char*, const char*, int& v, bool) override { v = now(v - 1) + 1; }

private:
  const std::function<int(int)>& now;
};

class Spars : public Through {
public:
  Spars(PanelId panel, const std::function<int(int)>& place) : changed(panel), now(place) {}
  void spar(const char*, const char*, int& v, bool) override {
    if (standsOn == changed) v = now(v - 1) + 1;
  }

private:
  PanelId changed;
  const std::function<int(int)>& now;
};

class Stretch : public Through {
public:
  Stretch(PanelId panel, double by) : changed(panel), times(by) {}
  void along(const char*, const char*, double& v, Limits, bool) override {
    if (standsOn == changed) v *= times;
  }
  void alongAll(const char*, const char*, std::vector<double>& v, bool) override {
    if (standsOn == changed)
      for (double& one : v) one *= times;
  }

private:
  PanelId changed;
  double times;
};

} // namespace

void renumberPanels(Design& design, int wing, const std::function<int(int)>& now) {
  Panels visitor(wing, now);
  describe(design, visitor);
}

void renumberWings(Design& design, const std::function<int(int)>& now) {
  Wings visitor(now);
  describe(design, visitor);
}

void renumberSpars(Design& design, PanelId panel, const std::function<int(int)>& now) {
  Spars visitor(panel, now);
  describe(design, visitor);
}

void stretchAlong(Design& design, PanelId panel, double times) {
  Stretch visitor(panel, times);
  describe(design, visitor);
}

} // namespace eup
