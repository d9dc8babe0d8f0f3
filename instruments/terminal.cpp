#include "terminal.h"
#include <chrono>
#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <fcntl.h>
#include <fmt/format.h>
#include <poll.h>
#include <termios.h>
#include <unistd.h>

namespace eup::instruments {
namespace {

volatile std::sig_atomic_t ended = 0;
void end(int) {
  ended = 1;
}

/// A terminal's two sides: ours, and the name of the other.
int openTerminal(std::string& name) {
  const int fd = posix_openpt(O_RDWR | O_NOCTTY | O_NONBLOCK);
  if (fd < 0 || grantpt(fd) != 0 || unlockpt(fd) != 0) return -1;
  const char* other = ptsname(fd);
  if (other == nullptr) return -1;
  name = other;
  // Held open from here too, so that nobody's leaving ends it; raw, so that no byte is changed.
  const int held = open(other, O_RDWR | O_NOCTTY);
  termios raw{};
  if (held < 0 || tcgetattr(held, &raw) != 0) return -1;
  cfmakeraw(&raw);
  return tcsetattr(held, TCSANOW, &raw) == 0 ? fd : -1;
}

} // namespace

std::string sumOf(std::string_view words) {
  unsigned sum = 0xffff;
  for (const char c : words) {
    sum ^= static_cast<unsigned>(static_cast<unsigned char>(c)) << 8;
    for (int bit = 0; bit < 8; ++bit) sum = (sum & 0x8000) != 0 ? (sum << 1) ^ 0x1021 : sum << 1;
    sum &= 0xffff;
  }
  return fmt::format("{:04x}", sum);
}

int serve(const char* program, const std::string& link, const std::function<void(std::string_view, double)>& hear,
          const std::function<std::string(double)>& live, double fast,
          const std::function<void(const std::string&)>& listen) {
  std::string port;
  const int fd = openTerminal(port);
  if (fd < 0) {
    fmt::print(stderr, "{}: no pseudo-terminal can be opened\n", program);
    return 1;
  }
  if (!link.empty() && symlink(port.c_str(), link.c_str()) != 0) {
    fmt::print(stderr, "{}: {} cannot be made; is it there already?\n", program, link);
    return 1;
  }
  std::signal(SIGINT, end), std::signal(SIGTERM, end), std::signal(SIGHUP, end);
  fmt::print("{}\n", link.empty() ? port : link);
  std::fflush(stdout);

  const auto start = std::chrono::steady_clock::now();
  const pid_t parent = getppid();
  std::string out, typed;
  bool input = static_cast<bool>(listen);
  constexpr std::size_t longest = 4096, unread = 1U << 20;
  while (ended == 0 && getppid() == parent) { // it ends with whoever started it
    pollfd watched[2]{{fd, static_cast<short>(POLLIN | (out.empty() ? 0 : POLLOUT)), 0}, {STDIN_FILENO, POLLIN, 0}};
    poll(watched, input ? 2 : 1, 10);
    const double now = fast * std::chrono::duration<double>(std::chrono::steady_clock::now() - start).count();
    char bytes[longest];
    if ((watched[0].revents & POLLIN) != 0)
      if (const ssize_t n = read(fd, bytes, sizeof bytes); n > 0)
        hear(std::string_view(bytes, static_cast<std::size_t>(n)), now);
    if (input && (watched[1].revents & (POLLIN | POLLHUP)) != 0) {
      const ssize_t n = read(STDIN_FILENO, bytes, sizeof bytes);
      if (n <= 0) input = false; // nobody types any more
      for (ssize_t i = 0; i < n; ++i) {
        if (bytes[i] != '\n' && typed.size() < longest)
          typed += bytes[i];
        else
          listen(typed), typed.clear();
      }
    }
    out += live(now);
    if (!out.empty())
      if (const ssize_t n = write(fd, out.data(), out.size()); n > 0) out.erase(0, static_cast<std::size_t>(n));
    if (out.size() > unread) out.clear(); // nobody reads
  }
  if (!link.empty()) unlink(link.c_str());
  return 0;
}

} // namespace eup::instruments
