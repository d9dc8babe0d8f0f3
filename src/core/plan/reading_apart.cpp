#include "core/plan/reading_apart.h"
#include "core/files/bytes.h"
#include "core/files/json.h"
#include <array>
#include <cerrno>
#include <chrono>
#include <csignal>
#include <cstdlib>
#include <fcntl.h>
#include <fmt/format.h>
#include <fstream>
#include <optional>
#include <poll.h>
#include <spawn.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

namespace eup::image_readers {
namespace {

using Clock = std::chrono::steady_clock;
using nlohmann::json;

constexpr std::array<const char*, 3> drawnNames{"pdf", "svg", "dxf"};
constexpr std::size_t longestWord = 1u << 16; // of what the reader tells in a line

bool tellAll(int fd, const char* data, std::size_t many) {
  while (many > 0) {
    const ssize_t n = ::write(fd, data, many);
    if (n < 0 && errno == EINTR) continue;
    if (n < 0) return false;
    data += n;
    many -= static_cast<std::size_t>(n);
  }
  return true;
}

bool tellLine(int fd, const json& word) {
  const std::string line = word.dump(-1, ' ', false, json::error_handler_t::replace) + "\n";
  return tellAll(fd, line.data(), line.size());
}

/// The reader while it runs; ended when this goes.
class Reader {
public:
  Reader(const std::filesystem::path& program, const std::vector<std::string>& words) {
    std::array<int, 2> ends{-1, -1};
    if (::pipe2(ends.data(), O_CLOEXEC) != 0) return;
    posix_spawn_file_actions_t actions;
    posix_spawn_file_actions_init(&actions);
    posix_spawn_file_actions_adddup2(&actions, ends[1], STDOUT_FILENO);
    posix_spawn_file_actions_addopen(&actions, STDIN_FILENO, "/dev/null", O_RDONLY, 0);
    posix_spawn_file_actions_addopen(&actions, STDERR_FILENO, "/dev/null", O_WRONLY, 0);
    std::vector<std::string> held = words;
    std::vector<char*> argv;
    argv.reserve(held.size() + 1);
    for (std::string& word : held) argv.push_back(word.data());
    argv.push_back(nullptr);
    if (::posix_spawn(&pid, program.c_str(), &actions, nullptr, argv.data(), environ) != 0) pid = -1;
    posix_spawn_file_actions_destroy(&actions);
    ::close(ends[1]);
    out = ends[0];
  }
  Reader(const Reader&) = delete;
  Reader& operator=(const Reader&) = delete;
  ~Reader() {
    if (pid > 0) {
      ::kill(pid, SIGKILL);
      while (::waitpid(pid, nullptr, 0) < 0 && errno == EINTR) {
      }
    }
    if (out >= 0) ::close(out);
  }
  bool runs() const { return pid > 0; }
  int end() const { return out; }
  /// Bytes that it holds (proc(5): the second number of statm, in pages).
  std::size_t memory() const {
    std::ifstream in("/proc/" + std::to_string(pid) + "/statm");
    std::size_t size = 0, resident = 0;
    in >> size >> resident;
    return resident * static_cast<std::size_t>(::sysconf(_SC_PAGESIZE));
  }

private:
  pid_t pid = -1;
  int out = -1;
};

/// What comes from a reader, a word or a block at a time, with an eye on what it takes.
class Listener {
public:
  Listener(const Reader& from, const OpenOrder& order, const Progress& progress)
      : reader(from), asked(order), told(progress), heard(Clock::now()) {}

  /// The next line, or why there is none.
  Result<json> word() {
    for (;;) {
      if (const auto end = kept.find('\n'); end != std::string::npos) {
        json read = json::parse(kept.begin(), kept.begin() + static_cast<std::ptrdiff_t>(end), nullptr, false);
        kept.erase(0, end + 1);
        if (!read.is_object()) return gone();
        return read;
      }
      if (kept.size() > longestWord) return gone();
      std::array<char, 4096> piece{};
      const auto came = some(piece.data(), piece.size());
      if (!came) return came.problem();
      kept.append(piece.data(), came.value());
    }
  }
  Result<Done> block(std::uint8_t* to, std::size_t many) {
    const std::size_t first = std::min(many, kept.size());
    std::copy_n(kept.begin(), first, to);
    kept.erase(0, first);
    for (std::size_t at = first; at < many;) {
      const auto came = some(reinterpret_cast<char*>(to) + at, many - at);
      if (!came) return came.problem();
      at += came.value();
    }
    return Done{};
  }
  void isAt(double part) { share = std::clamp(part, 0.0, 1.0); }

private:
  static Problem gone() {
    return {"",
            "it made the part of the program that draws plans fail: the file is damaged, or uses what cannot be drawn"};
  }
  /// At least one byte.
  Result<std::size_t> some(char* to, std::size_t most) {
    for (;;) {
      if (told && !told(share)) return Problem{"", stopped};
      if (reader.memory() > mostReaderMemory)
        return Problem{"", fmt::format("drawing it takes more than {} MB of memory", mostReaderMemory >> 20)};
      if (Clock::now() - heard > asked.patience)
        return Problem{"",
                       fmt::format("drawing it was given up: nothing came of it within {} s", asked.patience.count())};
      pollfd wait{reader.end(), POLLIN, 0};
      const int ready = ::poll(&wait, 1, 50);
      if (ready < 0 && errno != EINTR) return gone();
      if (ready <= 0) continue;
      const ssize_t n = ::read(reader.end(), to, most);
      if (n < 0 && errno == EINTR) continue;
      if (n <= 0) return gone();
      heard = Clock::now();
      return static_cast<std::size_t>(n);
    }
  }
  const Reader& reader;
  const OpenOrder& asked;
  const Progress& told;
  Clock::time_point heard;
  double share = 0;
  std::string kept;
};

/// What the reader says of the picture, when it can be so.
std::optional<Picture> pictureTold(const json& word) {
  const auto number = [&](const char* key, double most) -> std::optional<double> {
    const auto it = word.find(key);
    if (it == word.end() || !it->is_number()) return {};
    const double value = it->get<double>();
    return value >= 0 && value <= most ? std::optional(value) : std::nullopt;
  };
  const auto width = number("width", mostPixelsAside), height = number("height", mostPixelsAside),
             dpi = number("dpi", mostDpi), pages = number("pages", 1e9);
  if (!width || !height || !dpi || !pages) return {};
  auto raster = paper(*width, *height);
  if (!raster) return {};
  Picture picture;
  picture.raster = std::move(raster.value());
  picture.dpi = *dpi;
  picture.pages = static_cast<int>(*pages);
  if (const auto notes = word.find("notes"); notes != word.end() && notes->is_array())
    for (const json& note : *notes)
      if (note.is_string()) picture.notes.push_back(note.get<std::string>());
  return picture;
}

/// The reader lies where this program lies.
std::filesystem::path readerBeside() {
  std::error_code error;
  return std::filesystem::read_symlink("/proc/self/exe", error).parent_path() / readerName;
}

} // namespace

Result<Picture> readApart(Drawn kind, const std::filesystem::path& path, const OpenOrder& order,
                          const Progress& progress) {
  std::error_code error;
  const auto program = readerBeside();
  const auto whole = std::filesystem::absolute(path, error); // no name is taken for anything but a name
  const Reader reader(program, {readerName, drawnNames.at(static_cast<std::size_t>(kind)), whole.string(),
                                std::to_string(order.page), fmt::format("{}", order.vectorDpi)});
  if (!reader.runs())
    return Problem{"",
                   fmt::format("the part of the program that draws plans cannot be started ({})", program.string())};
  Listener listener(reader, order, progress);
  for (;;) {
    const auto word = listener.word();
    if (!word) return word.problem();
    const json& told = word.value();
    if (const auto share = told.find("share"); share != told.end() && share->is_number()) {
      listener.isAt(share->get<double>());
      continue;
    }
    if (const auto fault = told.find("fault"); fault != told.end() && fault->is_string())
      return Problem{"", withoutControls(fault->get<std::string>())};
    auto picture = pictureTold(told);
    if (!picture) return Problem{"", "the part of the program that draws plans said what cannot be"};
    const auto done = listener.block(picture->raster.grey.data(), picture->raster.grey.size());
    if (!done) return done.problem();
    return std::move(*picture);
  }
}

int answerApart(int argc, const char* const* argv, int out, Draw draw) {
  ::prctl(PR_SET_PDEATHSIG, SIGKILL); // it does not outlive the one who asked
  const rlimit cpu{1800, 1800};       // seconds: a last bound, should nobody look
  ::setrlimit(RLIMIT_CPU, &cpu);
  const auto kind =
      argc == 5 ? std::find(drawnNames.begin(), drawnNames.end(), std::string_view(argv[1])) : drawnNames.end();
  OpenOrder order;
  if (kind != drawnNames.end()) {
    order.page = std::atoi(argv[3]);
    order.vectorDpi = std::strtod(argv[4], nullptr);
  }
  if (kind == drawnNames.end() || !(order.vectorDpi > 0)) {
    const std::string_view usage =
        "Draws a plan for Euptera: euptera-plan-reader pdf|svg|dxf FILE PAGE PIXELS-AN-INCH\n";
    (void)tellAll(STDERR_FILENO, usage.data(), usage.size());
    return 2;
  }
  const auto drawn = draw(static_cast<Drawn>(kind - drawnNames.begin()), argv[2], order, [out](double share) {
    return tellLine(out, {{"share", share}});
  });
  if (!drawn) return tellLine(out, {{"fault", drawn.problem().text()}}) ? 0 : 3;
  const Picture& p = drawn.value();
  const bool told = tellLine(out, {{"width", p.raster.width},
                                   {"height", p.raster.height},
                                   {"dpi", p.dpi},
                                   {"pages", p.pages},
                                   {"notes", p.notes}}) &&
                    tellAll(out, reinterpret_cast<const char*>(p.raster.grey.data()), p.raster.grey.size());
  return told ? 0 : 3;
}

} // namespace eup::image_readers
