// The log of a wing for other programs and other people: a table, JSON with what the readings come to, a page of HTML.
#pragma once
#include "core/exchange/report.h"
#include "core/wing/true_wing.h"

namespace eup {

/// Entries with that word in them, upper or lower case alike; all without one. Columns: at, kind, text, step, file.
Table logTable(const Records& records, std::string_view with = {});
/// Does an entry have that word in it?
bool speaksOf(const LogEntry& entry, std::string_view word);
/// Steps, readings, what they come to, and the log.
std::string logJson(const TrueWing& aircraft);
/// The same to read and to keep with the model: one page, without anything from outside.
std::string logHtml(const TrueWing& aircraft);

} // namespace eup
