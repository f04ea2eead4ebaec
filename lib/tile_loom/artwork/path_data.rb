# frozen_string_literal: true

module TileLoom
  module Artwork
    # The "d" of an SVG path (SVG 1.1, 8.3) as flat runs [x, y, …]; curves become chords.
    class PathData
      # Digits are taken as far as they go, once.
      NUMBER = /[-+]?(?>\d+(?:\.\d*)?|\.\d+)(?>[eE][-+]?\d+)?/

      # How many numbers each command takes.
      ARITY = {
        "M" => 2,
        "L" => 2,
        "H" => 1,
        "V" => 1,
        "C" => 6,
        "S" => 4,
        "Q" => 4,
        "T" => 2,
        "A" => 7,
        "Z" => 0
      }.freeze
      CHORDS = 16

      Run = Struct.new(:coordinates, :closed)

      def self.runs(text) = new(text).runs

      def initialize(text)
        @tokens = PathScanner.new(text.to_s).to_enum(:each).to_a
        @runs = []
        @x = @y = @start_x = @start_y = 0.0
        @control = nil
      end

      # Runs with whether each was closed; Refusal for data that do not read.
      def runs
        take until @tokens.empty?
        @runs.select { |run| run.coordinates.length >= 4 }
      end

      private

      def take
        command = @tokens.first.is_a?(String) ? @tokens.shift : @repeat
        raise Refusal.new("artwork.path_without_command") unless command
        # Further pairs after a move are lines.
        @repeat = {"M" => "L", "m" => "l"}.fetch(command, command)
        numbers = @tokens.shift(ARITY.fetch(command.upcase))
        if numbers.length < ARITY.fetch(command.upcase) || !numbers.all?(Float)
          raise Refusal.new("artwork.path_ends_early")
        end
        draw(command.upcase, numbers, command == command.downcase)
      end

      def draw(command, numbers, relative)
        numbers = absolute(command, numbers) if relative
        case command
        when "M"
          move(*numbers)
        when "L"
          line(*numbers)
        when "H"
          line(numbers[0], @y)
        when "V"
          line(@x, numbers[0])
        when "C"
          cubic(*numbers)
        when "S"
          cubic(*mirrored("C"), *numbers)
        when "Q"
          quadratic(*numbers)
        when "T"
          quadratic(*mirrored("Q"), *numbers)
        when "A"
          arc(*numbers)
        when "Z"
          close
        end
        @last = command
      end

      def absolute(command, numbers)
        case command
        when "H"
          [numbers[0] + @x]
        when "V"
          [numbers[0] + @y]
        when "A"
          [*numbers.first(5), numbers[5] + @x, numbers[6] + @y]
        else
          numbers.each_slice(2).flat_map { |x, y| [x + @x, y + @y] }
        end
      end

      def move(x, y)
        @x, @y, @start_x, @start_y = x, y, x, y
        @runs << Run.new([x, y], false)
      end

      def line(x, y)
        move(@start_x, @start_y) if @runs.empty? || @runs.last.closed
        @runs.last.coordinates.push(x, y)
        @x, @y = x, y
      end

      def close
        return if @runs.empty?
        @runs.last.closed = true
        @x, @y = @start_x, @start_y
      end

      # The control point of the curve before, mirrored about where it ended.
      def mirrored(kind)
        curve = {"C" => %w[C S], "Q" => %w[Q T]}.fetch(kind).include?(@last)
        curve ? [2 * @x - @control[0], 2 * @y - @control[1]] : [@x, @y]
      end

      def cubic(x1, y1, x2, y2, x, y)
        ox, oy = @x, @y
        (1..CHORDS).each do |step|
          t = step / CHORDS.to_f
          u = 1 - t
          line(
            u**3 * ox + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t**3 * x,
            u**3 * oy + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t**3 * y
          )
        end
        @control = [x2, y2]
      end

      def quadratic(x1, y1, x, y)
        cubic(@x + 2 * (x1 - @x) / 3, @y + 2 * (y1 - @y) / 3, x + 2 * (x1 - x) / 3, y + 2 * (y1 - y) / 3, x, y)
        @control = [x1, y1]
      end

      # End points to centre, as in SVG 1.1, appendix F.6.5.
      def arc(rx, ry, rotation_deg, large, sweep, x, y)
        rx, ry = rx.abs, ry.abs
        return line(x, y) if rx.zero? || ry.zero? || (x == @x && y == @y)
        phi = rotation_deg * Math::PI / 180
        cos, sin = Math.cos(phi), Math.sin(phi)
        dx, dy = (@x - x) / 2, (@y - y) / 2
        x1, y1 = cos * dx + sin * dy, cos * dy - sin * dx
        grown = Math.sqrt([(x1 / rx)**2 + (y1 / ry)**2, 1].max)
        rx, ry = rx * grown, ry * grown
        root =
          Math.sqrt(
            [
              (rx * rx * ry * ry - rx * rx * y1 * y1 - ry * ry * x1 * x1) / (rx * rx * y1 * y1 + ry * ry * x1 * x1),
              0
            ].max
          )
        root = -root if (large == 1) == (sweep == 1)
        cx, cy = root * rx * y1 / ry, -root * ry * x1 / rx
        from = Math.atan2((y1 - cy) / ry, (x1 - cx) / rx)
        by = Math.atan2((-y1 - cy) / ry, (-x1 - cx) / rx) - from
        by -= 2 * Math::PI if sweep.zero? && by.positive?
        by += 2 * Math::PI if sweep == 1 && by.negative?
        middle_x, middle_y = cos * cx - sin * cy + (@x + x) / 2, sin * cx + cos * cy + (@y + y) / 2
        steps = [(by.abs / (2 * Math::PI) * 64).ceil, 2].max
        (1..steps).each do |step|
          angle = from + by * step / steps
          px, py = rx * Math.cos(angle), ry * Math.sin(angle)
          (step == steps) ? line(x, y) : line(cos * px - sin * py + middle_x, sin * px + cos * py + middle_y)
        end
      end
    end
  end
end
