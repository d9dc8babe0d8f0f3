// States of wings that were not saved when a program ended: each stays until it is taken back or thrown away by hand.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <QDateTime>
#include <QString>
#include <vector>

namespace eup::app {

struct KeptState {
  QString path;    ///< where it is kept
  QString file;    ///< the wing file that it is of; empty for a wing that had none
  QDateTime when;  ///< last written
  QString name;    ///< the aircraft's; empty when it cannot be read
  QString trouble; ///< why it cannot be read
};

class KeptStates {
public:
  /// They stand in a folder of their own in `folder`.
  explicit KeptStates(const QString& folder) : place(folder + "/kept") {}

  /// Moves a state that a program left at `path` in here, readable or not; one that holds what its file holds anyway is
  /// removed. Whether there is a new one.
  bool adopt(const QString& path, const QString& file);
  /// The newest first.
  std::vector<KeptState> all() const;
  static Result<Design> read(const KeptState& state);
  /// At the builder's word only.
  static void throwAway(const KeptState& state);

private:
  QString place;
};

} // namespace eup::app
