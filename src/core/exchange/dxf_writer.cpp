#include "core/exchange/dxf_writer.h"
#include "core/files/text_file.h"
#include <array>
#include <cstdlib>
#include <dl_dxf.h>
#include <filesystem>
#include <fmt/format.h>
#include <memory>
#include <unistd.h>

namespace eup {
namespace {

constexpr int red = 1, blue = 5, black = 7;

const char* layerName(Layer layer) {
  switch (layer) {
  case Layer::cut:
    return "CUT";
  case Layer::mark:
    return "MARK";
  case Layer::text:
    return "TEXT";
  }
  return "0";
}

int colour(Layer layer) {
  return layer == Layer::cut ? red : layer == Layer::mark ? blue : black;
}

/// The format's own way to write what is not ASCII: \U+ and four hexadecimal digits.
std::string plainText(const std::string& utf8) {
  std::string out;
  for (std::size_t i = 0; i < utf8.size();) {
    const auto lead = static_cast<unsigned char>(utf8[i]);
    const std::size_t length = lead < 0x80 ? 1 : lead >= 0xF0 ? 4 : lead >= 0xE0 ? 3 : lead >= 0xC0 ? 2 : 1;
    if (length == 1) {
      out += lead >= 0x20 && lead < 0x7F ? utf8[i] : '?'; // a line break would end the entry
      ++i;
      continue;
    }
    unsigned code = lead & (0xFFu >> (length + 1));
    for (std::size_t k = 1; k < length && i + k < utf8.size(); ++k)
      code = code << 6 | (static_cast<unsigned char>(utf8[i + k]) & 0x3F);
    out += code <= 0xFFFF ? fmt::format("\\U+{:04X}", code) : "?";
    i += length;
  }
  return out;
}

void writeLayer(DL_Dxf& dxf, DL_WriterA& out, const char* name, int colourNumber) {
  dxf.writeLayer(out, DL_LayerData(name, 0), DL_Attributes("", colourNumber, 13, "CONTINUOUS", 1.0));
}

void writeTables(DL_Dxf& dxf, DL_WriterA& out) {
  out.sectionTables();
  dxf.writeVPort(out);
  out.tableLinetypes(3);
  for (const char* type : {"BYBLOCK", "BYLAYER", "CONTINUOUS"})
    dxf.writeLinetype(out, DL_LinetypeData(type, type, 0, 0, 0.0));
  out.tableEnd();
  out.tableLayers(4);
  writeLayer(dxf, out, "0", black);
  for (Layer layer : allLayers) writeLayer(dxf, out, layerName(layer), colour(layer));
  out.tableEnd();
  out.tableStyle(1);
  dxf.writeStyle(out, DL_StyleData("Standard", 0, 0.0, 1.0, 0.0, 0, 2.5, "txt", ""));
  out.tableEnd();
  dxf.writeView(out);
  dxf.writeUcs(out);
  out.tableAppid(1);
  dxf.writeAppid(out, "ACAD");
  out.tableEnd();
  dxf.writeDimStyle(out, 3.5, 1, 1, 1, 3.5);
  dxf.writeBlockRecord(out);
  out.tableEnd();
  out.sectionEnd();
}

void writeBlocks(DL_Dxf& dxf, DL_WriterA& out) {
  out.sectionBlocks();
  for (const char* block : {"*Model_Space", "*Paper_Space", "*Paper_Space0"}) {
    dxf.writeBlock(out, DL_BlockData(block, 0, 0.0, 0.0, 0.0));
    dxf.writeEndBlock(out, block);
  }
  out.sectionEnd();
}

void writeEntities(DL_Dxf& dxf, DL_WriterA& out, const Drawing& drawing) {
  out.sectionEntities();
  for (const Stroke& s : drawing.strokes) {
    if (s.points.size() < 2) continue;
    const DL_Attributes at(layerName(s.layer), 256, -1, "BYLAYER", 1.0);
    dxf.writePolyline(out, DL_PolylineData(static_cast<int>(s.points.size()), 0, 0, s.closed ? 1 : 0), at);
    for (const Point& p : s.points) dxf.writeVertex(out, DL_VertexData(p.x(), p.y(), 0, 0));
    dxf.writePolylineEnd(out);
  }
  for (const Label& l : drawing.labels) {
    // A text that is not anchored left takes its place from the second point.
    const int align = l.anchor == Anchor::left ? 0 : l.anchor == Anchor::middle ? 1 : 2;
    dxf.writeText(out,
                  DL_TextData(l.at.x(), l.at.y(), 0, l.at.x(), l.at.y(), 0, l.height * 0.72, 1.0, 0, align, 0,
                              plainText(l.text), "Standard", l.turned ? M_PI / 2 : 0.0),
                  DL_Attributes("TEXT", 256, -1, "BYLAYER", 1.0));
  }
  out.sectionEnd();
}

/// A name of a file that is ours alone, gone when this is.
struct ScratchFile {
  std::string path;
  ScratchFile() {
    std::error_code error;
    const auto folder = std::filesystem::temp_directory_path(error);
    path = ((error ? "." : folder) / "euptera-dxf-XXXXXX").string();
    const int fd = ::mkstemp(path.data());
    if (fd < 0)
      path.clear();
    else
      ::close(fd);
  }
  ScratchFile(const ScratchFile&) = delete;
  ScratchFile& operator=(const ScratchFile&) = delete;
  ~ScratchFile() {
    if (!path.empty()) ::unlink(path.c_str());
  }
};

} // namespace

Result<std::string> toDxf(const Drawing& drawing) {
  const ScratchFile scratch; // the library writes to a named file only
  if (scratch.path.empty()) return Problem{"", "no temporary file can be made for the DXF"};
  DL_Dxf dxf;
  const DL_Codes::version version = DL_Codes::AC1015;
  const std::unique_ptr<DL_WriterA> out(dxf.out(scratch.path.c_str(), version));
  if (!out) return Problem{"", "the DXF cannot be written to a temporary file"};
  dxf.writeHeader(*out);
  out->dxfString(9, "$INSUNITS");
  out->dxfInt(70, 4); // millimetres
  out->dxfString(9, "$MEASUREMENT");
  out->dxfInt(70, 1); // metric
  out->sectionEnd();
  writeTables(dxf, *out);
  writeBlocks(dxf, *out);
  writeEntities(dxf, *out, drawing);
  dxf.writeObjects(*out);
  dxf.writeObjectsEnd(*out);
  out->dxfEOF();
  out->close();
  // The library says nothing of a disk that is full: only a whole file ends with its mark.
  auto text = readTextFile(scratch.path);
  if (text && !text.value().ends_with("EOF\n") && !text.value().ends_with("EOF\r\n"))
    return Problem{"", "the DXF could not be written to its end: the folder for temporary files is full"};
  return text;
}

} // namespace eup
