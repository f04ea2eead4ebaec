# frozen_string_literal: true

module TileLoom
  module Symbology
    module Labels
      # What is written beside, along or in the features that meet a condition, in what type, and where it may stand.
      # Sizes are for paper.
      class Rule < Values::Value
        include Conditional

        define "label_rule", oneOf: [{"required" => ["field"]}, {"required" => ["text"]}]
        part :id, Values::Types::ID
        part :title, text(most: 200)
        part :condition,
          Conditions::ConditionType.new(of_sheet: true),
          key: "when",
          about: "Which features have one, in OGC CQL2 JSON; without it all."
        part :visible_scales,
          fields(largest: Values::Types::SCALE, smallest: Values::Types::SCALE),
          about: "The scales (denominators) between which it is drawn, both counted in."
        part :field, text(least: 1, most: 200), about: "The field whose value is the text."
        part :template,
          text(least: 1, most: Templates::FeatureText::LONGEST),
          key: "text",
          about:
            "A text that the fields fill in: {{ name }} ({{ height | decimals: 0 }} m). A new line begins another."
        part :wrap, whole(2..200), about: "Lines of more characters are broken between words."
        part :abbreviations,
          list(Abbreviation.type, most: 200, ids: Values::EntryIds.new("abbreviation", by: "full")),
          default: [],
          about: "Used where the full text does not fit."
        part :letter_case,
          choice(
            as_written: "as written",
            capitals: "CAPITALS",
            small: "small letters",
            each_word: "Each Word Capitalised"
          ),
          default: "as_written"
        part :face_key, Values::Types::FACE, key: "face", default: "sans"
        part :size_pt, Values::Types::SIZE_PT, default: 7
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :opacity, Values::Types::OPACITY, default: 1
        part :letter_spacing_pt, number(-5..100), default: 0, about: "Added after each letter."
        part :word_spacing_pt, number(-5..200), default: 0, about: "Added to each space."
        part :line_spacing, number(0.5..5), default: 1.1, about: "Between baselines, in sizes of the type."
        part :halo, Halo.type, default: {}
        part :backing, Backing.type
        part :priority, number(0..100), default: 50, about: "Of two that want the same room the higher has it."
        part :points, PointPlacement.type, default: {}
        part :lines, LinePlacement.type, default: {}
        part :areas, AreaPlacement.type, default: {}
        part :leader, Scene::Stroke::TYPE, default: {"width_mm" => 0.15}, about: "Of leader lines."
        part :together,
          flag,
          default: false,
          about: "Have features of the same text one label, as parts that belong together?"

        def face = (assets || Assets.shipped).faces.face(face_key)

        # With sizes that many times as large.
        def scaled(factor) =
          reckoned(
            size_pt: size_pt * factor,
            halo: halo.scaled(factor),
            backing: backing&.scaled(factor),
            letter_spacing_pt: letter_spacing_pt * factor,
            word_spacing_pt: word_spacing_pt * factor,
            leader: leader.scaled(factor),
            points: points.scaled(factor),
            lines: lines.scaled(factor),
            areas: areas.scaled(factor)
          )

        # Is it drawn at this scale (denominator)?
        def shown_at?(scale) = Scales.cover?(visible_scales, scale)

        # Names of the fields that it asks for.
        def fields_asked = field ? [field] : feature_text.fields

        # The lines of text of a feature in a Languages::Language, none where it has no text; short: with abbreviations.
        def lines_of(attributes, language, short: false)
          string = field ? language.value(attributes[field]).to_s : feature_text.fill(attributes, language)
          string = abbreviations.reduce(string) { |found, entry| entry.applied(found) } if short
          lines = self.class.lines(cased(string))
          wrap ? lines.flat_map { |line| wrapped(line) } : lines
        end

        # The lines of a text, without those that are empty.
        def self.lines(string) = string.split("\n").map(&:strip).reject(&:empty?)

        def abbreviated? = abbreviations.any?

        private

        def settle
          Scales.check(visible_scales, title: title || field || template, path: path)
          feature_text if template
        end

        # Parsed once a thread, as a Liquid template belongs to whoever fills it.
        def feature_text = TEXTS.fetch(template) { Templates::FeatureText.new(template, path: "#{path}/text") }

        TEXTS = PerThread.new(:feature_texts, most: 500)
        private_constant :TEXTS

        def cased(string)
          case letter_case
          when "capitals"
            string.upcase
          when "small"
            string.downcase
          when "each_word"
            string.gsub(/[[:alpha:]][[:alpha:]\u2019']*/) { |word| word[0].upcase + word[1..] }
          else
            string
          end
        end

        def wrapped(line)
          line
            .split(/\s+/)
            .each_with_object([+""]) do |word, lines|
              fits = lines.last.empty? || lines.last.length + 1 + word.length <= wrap
              if fits
                lines.last << (lines.last.empty? ? "" : " ") << word
              else
                lines << word.dup
              end
            end
        end
      end
    end
  end
end
