// A plan that is made to keep whoever draws it busy.
#pragma once
#include <fmt/format.h>
#include <string>

namespace eup::test {

/// Forms that draw the form before them ten times, ten deep: 10¹⁰ lines in 2 kB.
inline std::string formsOfForms(int deep) {
  std::string pdf = "%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n"
                    "2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n";
  const auto stream = [&](int number, const std::string& dictionary, const std::string& text) {
    pdf += fmt::format("{} 0 obj<<{}/Length {}>>stream\n{}\nendstream endobj\n", number, dictionary, text.size(), text);
  };
  pdf +=
      fmt::format("3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 600 300]/Contents 4 0 R/Resources<</XObject<</F {} 0 "
                  "R>>>>>>endobj\n",
                  5 + deep);
  stream(4, "", "/F Do");
  stream(5, "/Type/XObject/Subtype/Form/BBox[0 0 600 300]", "10 10 m 300 200 l S");
  std::string often;
  for (int i = 0; i < 10; ++i) often += "/F Do ";
  for (int i = 1; i <= deep; ++i)
    stream(5 + i, fmt::format("/Type/XObject/Subtype/Form/BBox[0 0 600 300]/Resources<</XObject<</F {} 0 R>>>>", 4 + i),
           often);
  return pdf + "trailer<</Root 1 0 R>>\n";
}

} // namespace eup::test
