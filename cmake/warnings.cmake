# One place for the compiler's strictness; every target of ours links this.
add_library(euptera_strict INTERFACE)
target_compile_options(euptera_strict INTERFACE -Wall -Wextra -Wpedantic -Wshadow -Wconversion -Wno-sign-conversion
                                                -Wnon-virtual-dtor -Woverloaded-virtual -Wnull-dereference -Wimplicit-fallthrough)
if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
  # GCC 12 warns wrongly about its own std::string and about Eigen once they are inlined (GCC bugs 105329, 105651).
  target_compile_options(euptera_strict INTERFACE -Wno-null-dereference -Wno-maybe-uninitialized -Wno-restrict
                                                  -Wno-stringop-overflow -Wno-stringop-overread -Wno-array-bounds)
endif()
if(EUPTERA_WERROR)
  target_compile_options(euptera_strict INTERFACE -Werror)
endif()
if(EUPTERA_CHECKED)
  # Left out of the undefined-behaviour checks: what the address sanitizer and the processor find as well.
  target_compile_options(euptera_strict INTERFACE -fsanitize=address,undefined -fno-sanitize=null,alignment,object-size,vptr
                                                  -fno-omit-frame-pointer -fno-sanitize-recover=all)
  target_compile_definitions(euptera_strict INTERFACE _GLIBCXX_ASSERTIONS)
  target_link_options(euptera_strict INTERFACE -fsanitize=address,undefined)
endif()
