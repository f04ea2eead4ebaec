# frozen_string_literal: true

require_relative "apart"

# Required by a program that is measured: writes its peak memory in MB into PEAK_FILE as it ends.
at_exit { File.write(ENV.fetch("PEAK_FILE"), Bench::Apart.megabytes) }
