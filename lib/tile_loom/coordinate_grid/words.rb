# frozen_string_literal: true

module TileLoom
  module CoordinateGrid
    # What a grid comes to on a sheet, in sentences: what is drawn how far apart, and what is to be warned of.
    class Words
      # drawn: a Surround::Drawn; view: of the sheet.
      def initialize(drawn, view)
        @drawn, @view = drawn, view
      end

      # "Lines 100 m apart, 40 mm on paper; labels bottom and right."
      def sentence
        return trouble if trouble
        "#{Note.new(@drawn.grid, mesh).spacing}, #{pitches}#{zone}#{labels}."
      end

      # Sentences, empty when all is well.
      def warnings
        return [trouble] if trouble
        [
          nothing,
          few,
          close,
          many_nodes,
          *touching,
          unwritten,
          off_paper,
          unlabelled(stubs: false),
          off_line,
          feet
        ].compact
      end

      # What of it is missing on the sheet or not as it says, in sentences.
      def losses = trouble ? [trouble] : [nothing, many_nodes, unwritten, off_paper, unlabelled, off_line, feet].compact

      private

      def mesh = @drawn.meshes.first

      def trouble
        if @drawn.meshes.empty?
          return "UTM has no zone here: it ends at 84° N and 80° S. Choose a polar CRS such as EPSG:5041 or EPSG:5042."
        end
        @drawn.meshes.filter_map(&:trouble).first
      end

      def lines = @drawn.meshes.flat_map(&:lines)

      def pitches
        x, y = %i[x y].map { |axis| mesh.pitch_mm(axis).to_f }
        return "#{Units::Number.plain(x, decimals: 1)} mm on paper" if (x / y - 1).abs < 0.02
        "#{Units::Number.plain(x, decimals: 1)} and #{Units::Number.plain(y, decimals: 1)} mm on paper"
      end

      def zone
        return "" unless @drawn.grid.zoned?
        numbers = @drawn.meshes.map { |found| "#{found.zone.number}#{found.zone.south? ? " south" : " north"}" }
        ", in UTM zone#{"s" if numbers.length > 1} #{numbers.join(" and ")}"
      end

      def labels
        sides = @drawn.labels&.sides.to_a
        return "; no labels" if sides.empty?
        return "; labels on all sides" if sides.length == 4
        "; labels #{sides[0..-2].join(", ")}#{" and " if sides.length > 1}#{sides.last}"
      end

      def nothing
        "#{name} draws nothing on this sheet; choose a closer interval." if lines.none? { |line| line.pieces.any? }
      end

      # A position is read between two lines.
      def few
        return nil if nothing
        short =
          Side::ALL.select do |side|
            @drawn.meshes.sum do |found|
              found.crossings[side].count { |crossing| found.owner(side) == crossing.line.axis }
            end < 2
          end
        if short.any?
          "Fewer than two lines of #{name} cross the #{sides(short)}; choose a closer interval to read positions there."
        end
      end

      # An interval that was meant for a larger scale.
      def close
        widening = Widening.new(@drawn.grid, mesh)
        wider = widening.intervals or return nil
        both = wider.values.uniq.join(" by ")
        "Lines of #{name} are #{Units::Number.plain(widening.pitch_mm, decimals: 1)} mm apart at this scale; " \
          "use an interval of #{both}."
      end

      def many_nodes
        return nil if %w[lines ticks].include?(@drawn.grid.look)
        most =
          @drawn
            .meshes
            .map { |found| %i[x y].map { |axis| found.lines.count { |line| line.axis == axis } }.reduce(:*) }
            .max
        return nil if most <= Mesh::MOST_NODES
        "#{name} would draw #{Units::Number.grouped(most)} #{Looks.of(@drawn.grid.look).title}, more than " \
          "#{Units::Number.grouped(Mesh::MOST_NODES)}, so none is drawn; choose a wider interval."
      end

      def touching
        @drawn.labels&.placed
        (@drawn.labels&.every || {})
          .group_by(&:last)
          .map do |many, list|
            "Labels at the #{sides(list.map(&:first))} would touch, so only every #{ordinal(many)} is labelled."
          end
      end

      def unwritten
        count = @drawn.labels&.ruled_out.to_i
        return unless count.positive?
        "#{count} #{(count == 1) ? "line of #{name} is" : "lines of #{name} are"} unlabelled by that rule."
      end

      def off_paper
        count = @drawn.labels&.off_paper.to_i
        if count.positive?
          "#{count} #{(count == 1) ? "label has" : "labels have"} no space on the paper there; widen the margins there."
        end
      end

      # stubs: are lines that cut off a corner alone among them? (No wider interval would help with those.)
      def unlabelled(stubs: true)
        count = @drawn.labels&.unlabelled.to_a.count { |line| stubs || !@drawn.labels.stub?(line) }
        if count.positive?
          "#{count} #{lines_have(count)} no space for a label on this sheet; choose a wider interval, or wider " \
            "margins."
        end
      end

      def lines_have(count) = (count == 1) ? "line of #{name} has" : "lines of #{name} have"

      def off_line
        off = @drawn.labels&.off_mm or return
        far = Units::Number.plain(off, decimals: (off < 1) ? 2 : 1)
        "Labels of #{name} are rounded: with #{decimals(@drawn.labels_decimals)} they lie up to #{far} mm off their " \
          "lines; take more decimals, or leave them automatic."
      end

      def decimals(count)
        return "no decimals" if count.zero?
        "#{count} #{(count == 1) ? "decimal" : "decimals"}"
      end

      # 2 in a million apart: 500 m off in the Texas state plane's false origin (NIST SP 811, B.8).
      def feet
        fixed = %i[x y].filter_map { |axis| @drawn.grid.interval[axis] || @drawn.grid.origin[axis] }
        given = fixed.map { |text| Interval.parse(text, least: :any) }
        other = {"ft" => "us-ft", "us-ft" => "ft"}
        mixed = given.find { |interval| other[interval.unit] && other[interval.unit] == mesh.crs.unit&.code } or return
        "“#{mixed}” counts #{Units::LengthUnit.find(mixed.unit).plural}, but #{mesh.crs.name} counts " \
          "#{mesh.crs.unit.plural}; write #{Units::Number.plain(mixed.value.to_f)} #{mesh.crs.unit.code} for lines on " \
          "its own round numbers."
      end

      def name = "“#{@drawn.grid.name}”"

      def sides(list) = (list.length == 1) ? list.first : "#{list[0..-2].join(", ")} and #{list.last}"

      def ordinal(number) =
        "#{number}" \
          "#{(number % 100).between?(11, 13) ? "th" : {1 => "st", 2 => "nd", 3 => "rd"}.fetch(number % 10, "th")}"
    end
  end
end
