# Installs Mezzet like any program, and makes a .deb of it with CPack: see ./make-deb.
include(GNUInstallDirs)

# Icons in the sizes that desktops ask for, drawn from the one there is.
add_executable(mezzet-icons EXCLUDE_FROM_ALL ${CMAKE_SOURCE_DIR}/packaging/icons.cpp)
target_link_libraries(mezzet-icons PRIVATE Qt6::Gui Qt6::Svg)
set(ICON_SIZES 16 22 24 32 48 64 128 256 512)
set(PACKED ${CMAKE_BINARY_DIR}/packed)
add_custom_target(packed
  COMMAND ${CMAKE_COMMAND} -E make_directory ${PACKED}
  COMMAND ${CMAKE_COMMAND} -E env QT_QPA_PLATFORM=offscreen $<TARGET_FILE:mezzet-icons>
    ${CMAKE_SOURCE_DIR}/data/icons/mezzet.svg ${PACKED}/icons ${ICON_SIZES}
  COMMAND ${CMAKE_COMMAND} -E make_directory ${PACKED}/de
  COMMAND sh -c "MEZZET_LANGUAGE=en $<TARGET_FILE:mezzet-cli> man-page > ${PACKED}/mezzet-cli.1"
  COMMAND sh -c "MEZZET_LANGUAGE=de MEZZET_DATA=${CMAKE_SOURCE_DIR}/data $<TARGET_FILE:mezzet-cli> man-page > ${PACKED}/de/mezzet-cli.1"
  COMMAND sh -c "for p in ${CMAKE_SOURCE_DIR}/packaging/de/mezzet.1 ${CMAKE_SOURCE_DIR}/packaging/de/mezzet-laser.1 ${PACKED}/de/mezzet-cli.1; do gzip -9nc $p > ${PACKED}/de/$(basename $p).gz; done"
  COMMAND sh -c "$<TARGET_FILE:mezzet-cli> completion > ${PACKED}/mezzet-cli"
  COMMAND sh -c "for p in ${CMAKE_SOURCE_DIR}/packaging/mezzet.1 ${CMAKE_SOURCE_DIR}/packaging/mezzet-laser.1 ${PACKED}/mezzet-cli.1; do gzip -9nc $p > ${PACKED}/$(basename $p).gz; done"
  COMMAND sh -c "gzip -9nc ${CMAKE_SOURCE_DIR}/packaging/changelog > ${PACKED}/changelog.gz"
  DEPENDS mezzet-icons mezzet-cli
  VERBATIM)

install(TARGETS mezzet mezzet-cli mezzet-laser RUNTIME DESTINATION ${CMAKE_INSTALL_BINDIR})
install(DIRECTORY ${CMAKE_SOURCE_DIR}/data/demo ${CMAKE_SOURCE_DIR}/data/kit ${CMAKE_SOURCE_DIR}/data/light
  ${CMAKE_SOURCE_DIR}/data/rugs ${CMAKE_SOURCE_DIR}/data/rules ${CMAKE_SOURCE_DIR}/data/walls
  ${CMAKE_SOURCE_DIR}/data/work ${CMAKE_SOURCE_DIR}/data/texts DESTINATION ${CMAKE_INSTALL_DATADIR}/mezzet)
install(FILES ${CMAKE_SOURCE_DIR}/docs/measure.md ${CMAKE_SOURCE_DIR}/docs/tape-notes.md
  ${CMAKE_SOURCE_DIR}/docs/line.md ${CMAKE_SOURCE_DIR}/docs/walls.md ${CMAKE_SOURCE_DIR}/docs/dressing.md
  ${CMAKE_SOURCE_DIR}/docs/handover.md ${CMAKE_SOURCE_DIR}/docs/rules.md ${CMAKE_SOURCE_DIR}/docs/kit.md
  ${CMAKE_SOURCE_DIR}/docs/limits.md ${CMAKE_SOURCE_DIR}/docs/job-file.md
  DESTINATION ${CMAKE_INSTALL_DATADIR}/mezzet/handbook)
# And in other languages, a folder of two letters each.
file(GLOB own_handbooks ${CMAKE_SOURCE_DIR}/docs/??)
install(DIRECTORY ${own_handbooks} DESTINATION ${CMAKE_INSTALL_DATADIR}/mezzet/handbook)
install(FILES ${CMAKE_SOURCE_DIR}/packaging/org.mezzet.Mezzet.desktop
  DESTINATION ${CMAKE_INSTALL_DATADIR}/applications)
install(FILES ${CMAKE_SOURCE_DIR}/packaging/org.mezzet.Mezzet.metainfo.xml
  DESTINATION ${CMAKE_INSTALL_DATADIR}/metainfo)
install(FILES ${CMAKE_SOURCE_DIR}/packaging/mezzet-mime.xml
  DESTINATION ${CMAKE_INSTALL_DATADIR}/mime/packages RENAME mezzet.xml)
install(FILES ${CMAKE_SOURCE_DIR}/data/icons/mezzet.svg
  DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/scalable/apps)
foreach(size IN LISTS ICON_SIZES)
  install(FILES ${PACKED}/icons/${size}.png
    DESTINATION ${CMAKE_INSTALL_DATADIR}/icons/hicolor/${size}x${size}/apps RENAME mezzet.png)
endforeach()
foreach(page mezzet mezzet-cli mezzet-laser)
  install(FILES ${PACKED}/${page}.1.gz DESTINATION ${CMAKE_INSTALL_MANDIR}/man1)
  install(FILES ${PACKED}/de/${page}.1.gz DESTINATION ${CMAKE_INSTALL_MANDIR}/de/man1)
endforeach()
install(FILES ${PACKED}/mezzet-cli
  DESTINATION ${CMAKE_INSTALL_DATADIR}/bash-completion/completions)
install(FILES ${CMAKE_SOURCE_DIR}/packaging/copyright ${PACKED}/changelog.gz
  DESTINATION ${CMAKE_INSTALL_DATADIR}/doc/mezzet)

set(CPACK_GENERATOR DEB)
set(CPACK_PACKAGE_NAME mezzet)
set(CPACK_PACKAGE_VERSION ${PROJECT_VERSION})
set(CPACK_PACKAGE_CONTACT "The Mezzet authors <mezzet@example.org>")
set(CPACK_PACKAGE_DESCRIPTION_SUMMARY "Plan rooms to scale, and hand over sheets")
set(CPACK_DEBIAN_PACKAGE_DESCRIPTION
"Mezzet is for decorators: tape a room, type what you taped, place furniture,
rugs and lights by saying where they go, set the heights of art, mirrors and
shelves, dress the shelves, and hand over sheets that a shop, a client, an
electrician and an installer can use.")
set(CPACK_PACKAGING_INSTALL_PREFIX /usr)
set(CPACK_DEBIAN_FILE_NAME DEB-DEFAULT)
set(CPACK_DEBIAN_PACKAGE_SECTION graphics)
set(CPACK_DEBIAN_PACKAGE_PRIORITY optional)
set(CPACK_DEBIAN_PACKAGE_SHLIBDEPS ON)
set(CPACK_DEBIAN_PACKAGE_DEPENDS "qt6-qpa-plugins")
set(CPACK_STRIP_FILES ON)
set(CPACK_INSTALL_DEFAULT_DIRECTORY_PERMISSIONS OWNER_READ OWNER_WRITE OWNER_EXECUTE GROUP_READ GROUP_EXECUTE
  WORLD_READ WORLD_EXECUTE)
include(CPack)
