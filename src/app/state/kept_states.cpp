#include "app/state/kept_states.h"
#include "core/described/design_file.h"
#include "core/files/text_file.h"
#include <QDir>
#include <QFileInfo>

namespace eup::app {

namespace {

const char* const ending = ".kept";
const char* const ofEnding = ".of"; // beside it: the path of the file that it is of

std::optional<Design> designIn(const QString& path) {
  const auto text = readTextFile(path.toStdString());
  if (!text) return std::nullopt;
  auto read = designFromText(text.value());
  return read ? std::optional(std::move(read.value().design)) : std::nullopt;
}

} // namespace

bool KeptStates::adopt(const QString& path, const QString& file) {
  if (!QFile::exists(path)) return false;
  if (const auto left = designIn(path); left && !file.isEmpty() && designIn(file) == left) {
    QFile::remove(path);
    return false;
  }
  QDir().mkpath(place);
  const QString stamp = QFileInfo(path).lastModified().toString("yyyyMMdd-HHmmss-zzz");
  for (int i = 0; i < 1000; ++i) {
    const QString to = QString("%1/%2-%3%4").arg(place, stamp).arg(i).arg(ending);
    if (QFile::exists(to)) continue;
    if (!file.isEmpty() && !writeFileAtomically((to + ofEnding).toStdString(), file.toStdString())) return false;
    return QFile::rename(path, to);
  }
  return false;
}

std::vector<KeptState> KeptStates::all() const {
  std::vector<KeptState> out;
  for (const QFileInfo& info : QDir(place).entryInfoList({QString("*") + ending}, QDir::Files, QDir::Name)) {
    KeptState state{info.absoluteFilePath(), {}, {}, {}, {}};
    if (const auto file = readTextFile((state.path + ofEnding).toStdString()))
      state.file = QString::fromStdString(file.value());
    state.when = QDateTime::fromString(info.fileName().left(19), "yyyyMMdd-HHmmss-zzz");
    if (!state.when.isValid()) state.when = info.lastModified();
    if (const auto design = read(state))
      state.name = QString::fromStdString(design.value().name);
    else
      state.trouble = QString::fromStdString(design.problem().text());
    out.push_back(std::move(state));
  }
  std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.when > b.when; });
  return out;
}

Result<Design> KeptStates::read(const KeptState& state) {
  const auto text = readTextFile(state.path.toStdString());
  if (!text) return text.problem();
  auto read = designFromText(text.value());
  if (!read) return read.problem();
  return std::move(read.value().design);
}

void KeptStates::throwAway(const KeptState& state) {
  QFile::remove(state.path);
  QFile::remove(state.path + ofEnding);
}

} // namespace eup::app
