# One place for the compiler's strictness; every target of ours links this.
add_library(euptera_strict INTERFACE)
target_compile_options(euptera_strict INTERFACE -Wall -Wextra -Wpedantic -Wshadow -Wconversion -Wno-sign-conversion
                                                -Wnon-virtual-dtor -Woverloaded-virtual -Wnull-dereference -Wimplicit-fallthrough)
if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
  # GCC 12 warns wrongly about its own std::string and about Eigen once they are inlined (GCC bugs 105329, 105651).
  target_compile_options(euptera_strict INTERFACE -Wno-null-dereference -Wno-maybe-uninitialized -Wno-restrict
                                                  -Wno-stringop-overflow -Wno-stringop-overread -Wno-array-bounds)
endif()
if(CMAKE_CXX_COMPILER_ID STREQUAL "Clang")
  # Clang calls a local name hidden when another file of the same unit has a constant so called; GCC looks for the rest.
  target_compile_options(euptera_strict INTERFACE -Wno-shadow)
endif()
if(EUPTERA_WERROR)
  target_compile_options(euptera_strict INTERFACE -Werror)
endif()

# What is watched while the tests run: the program itself, not the tests.
add_library(euptera_watched INTERFACE)
target_link_libraries(euptera_watched INTERFACE euptera_strict)
if(EUPTERA_CHECKED)
  # Left out of the undefined-behaviour checks: what the address sanitizer and the processor find as well.
  target_compile_options(euptera_watched INTERFACE -fsanitize=address,undefined -fno-sanitize=null,alignment,object-size,vptr
                                                   -fno-omit-frame-pointer -fno-sanitize-recover=all)
  # Eigen frees by hand what it has aligned by hand under the address sanitizer only: tests must agree with what they call.
  add_compile_definitions(_GLIBCXX_ASSERTIONS EIGEN_MALLOC_ALREADY_ALIGNED=0)
  add_link_options(-fsanitize=address,undefined)
endif()

# Code that mostly makes text and windows runs no faster for it: it is optimised less, which is quicker to compile. In the
# watched build all else is optimised a little: that halves the time of the tests.
function(euptera_text target)
  if(EUPTERA_CHECKED)
    target_compile_options(${target} PRIVATE -O0)
  else()
    target_compile_options(${target} PRIVATE $<$<CONFIG:Release>:-O1>)
  endif()
endfunction()
