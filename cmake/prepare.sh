# Sourced by run-demo and run-tests: makes sure of what the build needs. Quiet when all is there.
needed=(g++ cmake ninja-build ccache pkg-config qt6-base-dev qt6-base-dev-tools libqt6svg6-dev libgl-dev
    libgeos-dev libembree-dev libutf8proc-dev libeigen3-dev libdxflib-dev libpoppler-qt6-dev python3-ezdxf nlohmann-json3-dev libfmt-dev libcli11-dev libgtest-dev libgmock-dev libvalijson-dev libbenchmark-dev liblcms2-dev libical-dev libqpdf-dev qpdf
    poppler-utils povray xvfb xauth)

prepare() {
    local missing=() p
    for p in "${needed[@]}"; do
        dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' && continue
        # A name another package provides counts too.
        dpkg-query -W -f='${Status} ${Provides}\n' 2>/dev/null | grep 'ok installed' | grep -qE "(^|[ ,])$p([ ,(]|$)" && continue
        missing+=("$p")
    done
    [ "${#missing[@]}" -eq 0 ] && return 0
    local as=()
    if [ "$(id -u)" -ne 0 ]; then
        if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
            as=(sudo)
        else
            echo "Mezzet needs these packages, and this account may not install them:" >&2
            echo "    sudo apt-get install ${missing[*]}" >&2
            return 1
        fi
    fi
    echo "Installing: ${missing[*]}"
    local log
    log=$(mktemp)
    if ! { "${as[@]}" apt-get update -qq && DEBIAN_FRONTEND=noninteractive "${as[@]}" apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$log" 2>&1; then
        echo "The packages could not be installed. apt said:" >&2
        tail -n 15 "$log" >&2
        return 1
    fi
    rm -f "$log"
}
