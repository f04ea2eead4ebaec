# frozen_string_literal: true

require "json"
require "open3"
require "tmpdir"
require_relative "shell"

module Setup
  # What the core takes of the Unicode CLDR for the languages that pages are written in: signs of numbers, months,
  # symbols of units, letters of hemispheres. Read out of the packages of its JSON (cldr-numbers-full, …), which are too
  # large to be kept; the file is kept instead. https://cldr.unicode.org, Unicode licence.
  class Cldr
    VERSION = "48.2.0"
    FILE = File.join(Shell::ROOT, "lib/tile_loom/languages/cldr.json")
    # Our code → CLDR's.
    LOCALES =
      %w[en de fr es pt pt-PT it nl sv nb da fi pl cs el].to_h { |code| [code, code] }.merge("nb" => "no").freeze
    UNITS = {
      "mm" => "length-millimeter",
      "cm" => "length-centimeter",
      "m" => "length-meter",
      "km" => "length-kilometer",
      "in" => "length-inch",
      "ft" => "length-foot",
      "yd" => "length-yard",
      "mi" => "length-mile",
      "nmi" => "length-nautical-mile",
      "min" => "duration-minute"
    }.freeze

    # Fetches the packages from the registry and writes the file.
    def run
      Dir.mktmpdir do |dir|
        @dir = dir
        %w[numbers units dates].each { |part| fetch(part) }
        found = LOCALES.to_h { |code, locale| [code, language(locale)] }
        File.write(FILE, "#{JSON.pretty_generate("version" => VERSION, "languages" => found)}\n")
      end
    end

    private

    def fetch(part)
      packed = "#{@dir}/cldr-#{part}-full-#{VERSION}.tgz"
      [
        ["npm", "pack", "cldr-#{part}-full@#{VERSION}", "--pack-destination", @dir],
        ["mkdir", "#{@dir}/#{part}"],
        ["tar", "xzf", packed, "-C", "#{@dir}/#{part}"]
      ].each do |command|
        _, problem, status = Open3.capture3(*command)
        raise Failure, "#{command.first} failed: #{problem}" unless status.success?
      end
    end

    def read(part, locale, file) =
      JSON.parse(File.read("#{@dir}/#{part}/package/main/#{locale}/#{file}.json")).dig("main", locale)

    def language(locale)
      numbers = read("numbers", locale, "numbers").fetch("numbers")
      units = read("units", locale, "units").fetch("units")
      dates = read("dates", locale, "ca-gregorian").dig("dates", "calendars", "gregorian")
      {
        "decimal" => numbers.dig("symbols-numberSystem-latn", "decimal"),
        "group" => numbers.dig("symbols-numberSystem-latn", "group"),
        "minimum_grouping_digits" => numbers.fetch("minimumGroupingDigits").to_i,
        "ways" => ways(units.dig("narrow", "coordinateUnit")),
        "units" => UNITS.transform_values { |name| symbol(units.dig("short", name)) },
        "months" => dates.dig("months", "format", "wide").values,
        "months_alone" => dates.dig("months", "stand-alone", "wide").values,
        "months_short" => dates.dig("months", "format", "abbreviated").values,
        "days" => dates.dig("days", "format", "wide").values,
        "days_short" => dates.dig("days", "format", "abbreviated").values,
        "long_date" => dates.dig("dateFormats", "long"),
        "month_and_year" => dates.dig("dateTimeFormats", "availableFormats", "yMMMM")
      }
    end

    # The letters of a hemisphere: Polish writes its degree sign into the pattern.
    def ways(patterns) = %w[north east south west].to_h { |way| [way, patterns.fetch(way).delete("{0}°").strip] }

    # "{0} km" → {"other" => "km"}: by the plural of the number where it differs.
    def symbol(patterns)
      found =
        patterns
          .select { |key, _| key.start_with?("unitPattern-count-") }
          .to_h do |key, pattern|
            [key.delete_prefix("unitPattern-count-"), pattern.delete("{0}").gsub(/[[:space:]]+/, " ").strip]
          end
      (found.values.uniq.length == 1) ? {"other" => found.values.first} : found
    end
  end
end
