# frozen_string_literal: true

RSpec.describe TileLoom::CoordinateGrid::Labels do
  include GridViews

  line = ->(axis, value) do
    TileLoom::CoordinateGrid::GridLine.new(axis: axis, value: value, index: 0, pieces: [], course: [])
  end
  degrees = TileLoom::Crs::System.find("EPSG:4258")
  metres = TileLoom::Crs::System.find("EPSG:25829")
  thin = "\u2009"

  def caption(line, crs, step, full: true, language: "en", **settings) =
    TileLoom::CoordinateGrid::Caption.of(
      line,
      crs,
      step,
      label_spec(**settings),
      language: TileLoom::Languages::Language.of(language),
      full: full
    ).to_s

  # Worked by hand; the carry of 59.999″ is a classic of the trade (common practice).
  describe "of angles" do
    it "have as many parts as the interval needs" do
      expect(caption(line[:y, 58r], degrees, 1r)).to eq("58°N")
      expect(caption(line[:y, Rational(117, 2)], degrees, Rational(1, 2))).to eq("58°30′N")
      expect(caption(line[:x, Rational(-1287, 120)], degrees, Rational(1, 120))).to eq("10°43′30″W")
      expect(caption(line[:y, 0r], degrees, 1r)).to eq("0°")
      expect(caption(line[:x, 185r], degrees, 5r)).to eq("175°W")
      expect([180r, -180r].map { |value| caption(line[:x, value], degrees, 5r) }).to eq(%w[180° 180°])
    end

    it "carry: 59.999″ never prints 60″, nor 59′59.7″ sixty minutes" do
      value = 10 + Rational(59, 60) + Rational(59_999, 3_600_000)
      expect(caption(line[:y, value], degrees, 1r, notation: "dms", decimals: 0)).to eq("11°00′00″N")
      expect(caption(line[:y, value], degrees, 1r, notation: "dms", decimals: 3)).to eq("10°59′59.999″N")
      expect(caption(line[:y, -value], degrees, 1r, notation: "dm", decimals: 2)).to eq("11°00.00′S")
      expect(caption(line[:x, -value], degrees, 1r, notation: "d", decimals: 1)).to eq("11.0°W")
    end

    it "have hemispheres as letters or signs, and leading zeros" do
      expect(caption(line[:x, -7r], degrees, 1r, hemisphere: "signs")).to eq("\u22127°")
      expect(caption(line[:x, 7r], degrees, 1r, hemisphere: "signs")).to eq("7°")
      expect(caption(line[:x, -7r], degrees, 1r, zeros: true)).to eq("007°W")
      expect(caption(line[:y, -7r], degrees, 1r, zeros: true)).to eq("07°S")
      expect(caption(line[:x, Rational(-15, 2)], degrees, Rational(1, 2), notation: "decimal")).to eq("7.5°W")
      expect(caption(line[:x, Rational(-15, 2)], degrees, Rational(1, 2), notation: "decimal", zeros: true)).to eq(
        "007.5°W"
      )
    end

    it "say in short only what changes from one to the next" do
      expect(caption(line[:y, 58 + Rational(53, 60)], degrees, Rational(1, 60), full: false, form: "short")).to eq(
        "53′"
      )
      expect(caption(line[:y, 58r], degrees, Rational(1, 60), full: false, form: "short")).to eq("58°00′N")
      expect(
        caption(
          line[:y, 58 + Rational(53, 60) + Rational(1, 120)],
          degrees,
          Rational(1, 120),
          full: false,
          form: "short"
        )
      ).to eq("30″")
      expect(caption(line[:y, 58 + Rational(53, 60)], degrees, Rational(1, 120), full: false, form: "short")).to eq(
        "53′"
      )
    end
  end

  describe "of lengths" do
    it "are grouped, with decimals as the interval needs, with unit, sign or direction" do
      expect(caption(line[:x, 402_000r], metres, 500r)).to eq("402#{thin}000")
      expect(caption(line[:x, 402_000r], metres, 500r, thousands: "comma", unit: true)).to eq("402,000\u202fm")
      expect(caption(line[:x, Rational(804_001, 2)], metres, Rational(1, 2), thousands: "none")).to eq("402000.5")
      expect(caption(line[:y, -1500r], metres, 500r)).to eq("\u22121#{thin}500")
      expect(caption(line[:y, -1500r], metres, 500r, hemisphere: "letters")).to eq("1#{thin}500S")
      expect(caption(line[:x, 1_571_000r], TileLoom::Crs::System.find("EPSG:2277"), 500r, unit: true)).to eq(
        "1#{thin}571#{thin}000\u202fft"
      )
    end

    # CLDR 48, coordinateUnit: east and west are O in German and Spanish, north is P in Finnish; a decimal comma.
    it "have the letters and the signs of the book's language" do
      expect(
        [
          caption(line[:x, 402_000r], metres, 1000r, language: "de", hemisphere: "letters"),
          caption(line[:y, 6_528_000.5r], metres, 1 / 2r, language: "fi", hemisphere: "letters", thousands: "language"),
          caption(line[:x, -10.5r], degrees, 1 / 2r, language: "es", notation: "decimal")
        ]
      ).to eq(["402\u2009000O", "6\u00a0528\u00a0000,5P", "10,5°O"])
    end

    # DMA TM 8358.1, figures of chapter 3 (from memory): principal digits large, the leading one and the zeros
    # small, on the first and last line of a side the whole number.
    it "have principal digits large and the others small, as topographic sheets have them" do
      parts = ->(value, step, full) do
        TileLoom::CoordinateGrid::Caption
          .of(
            line[:y, value],
            metres,
            step,
            label_spec(form: "short"),
            language: TileLoom::Languages::Language.english,
            full: full
          )
          .parts
          .map { |part| [part.string, part.small] }
      end
      expect(parts[6_528_000r, 1000r, false]).to eq([["65", true], ["28", false]])
      expect(parts[6_528_000r, 1000r, true]).to eq([["65", true], ["28", false], ["000m", true], ["N", false]])
      expect(parts[6_528_500r, 100r, false]).to eq([["65", true], ["285", false]])
      expect(parts[400_000r, 10_000r, false]).to eq([["4", true], ["0", false]])
    end
  end

  describe "round the frame" do
    settings = {"id" => "g", "crs" => "book", "labels" => {"sides" => %w[top right bottom left], "size_pt" => 7}}

    def labels(view, *grids, **options) =
      surround(view, grids, **options).drawn.flat_map { |entry| entry.labels.placed }

    it "stand outside at each side where lines cross it, turned along it" do
      sheet = view
      found = labels(sheet, settings).group_by(&:side)
      expect(found.transform_values(&:length)).to eq("top" => 7, "bottom" => 7, "left" => 5, "right" => 5)
      expect(found.transform_values { |list| list.map { |label| label.spot.rotation_deg }.uniq }).to eq(
        "top" => [0.0],
        "bottom" => [0.0],
        "left" => [-90.0],
        "right" => [90.0]
      )
      expect(found["bottom"].map { |label| label.caption.to_s }).to include("402\u2009000")
      expect(found["left"].map { |label| label.caption.to_s }).to include("6\u2009528\u2009000")
      outside = {
        "top" => ->(box) { box.max_y <= 30 },
        "bottom" => ->(box) { box.min_y >= 230 },
        "left" => ->(box) { box.max_x <= 20 },
        "right" => ->(box) { box.min_x >= 320 }
      }
      found.each { |side, list| expect(list.map { |label| outside[side].call(label.spot.box) }).to all(be(true)) }
    end

    it "never touch one another, of one grid or of several, turned or not" do
      graticule = {
        "id" => "h",
        "crs" => "geographic",
        "target_mm" => 30,
        "labels" => {
          "sides" => %w[top right bottom left],
          "size_pt" => 8,
          "corners" => true,
          "orientation" => "level"
        }
      }
      [0.0, 5.0, 33.0, 45.0].each do |rotation|
        sheet = view(rotation: rotation)
        many =
          labels(
            sheet,
            settings.merge(
              "target_mm" => 12,
              "labels" => settings["labels"].merge("families" => "both", "orientation" => "along_line")
            ),
            graticule
          )
        expect(many.length).to be > 20
        many.combination(2) do |one, other|
          expect(one.spot.touches?(other.spot)).to be(false), "#{one.caption} and #{other.caption} at #{rotation}°"
        end
      end
    end

    it "thin out to round values: every 2nd, 5th or 10th, whichever the series has" do
      found =
        surround(
          view,
          [
            settings.merge(
              "interval" => {
                "x" => "50 m",
                "y" => "50 m"
              },
              "labels" => settings["labels"].merge("sides" => ["top"])
            )
          ]
        ).drawn.first
      values = found.labels.placed.map { |label| label.caption.to_s.delete("\u2009").to_i }
      # Those of the frame's corners stand beside them, where the next one would touch them.
      expect(values.sort).to eq((400_500..403_500).step(100).to_a)
      expect(TileLoom::CoordinateGrid::Words.new(found, view).warnings).to include(
        /Labels at the top would touch, so only every 2nd is labelled/
      )
      expect(TileLoom::Units::Series.multiples(200r, angle: false).first(3)).to eq([1, 5, 10])
      expect(TileLoom::Units::Series.multiples(Rational(1, 240), angle: true).first(4)).to eq([1, 2, 4, 8])
    end

    it "say the first and the last in full, the others short" do
      found =
        labels(
          view,
          settings.merge(
            "interval" => {
              "x" => "500 m",
              "y" => "500 m"
            },
            "labels" => {
              "sides" => ["bottom"],
              "form" => "short",
              "size_pt" => 7
            }
          )
        ).sort_by { |label| label.spot.x }
      expect(found.map { |label| label.caption.to_s }).to eq(%w[400500mE 4010 4015 4020 4025 4030 403500mE])
    end

    it "belong to the lines that cross the side, in a turned frame to the steeper ones or to both" do
      turned = view(rotation: 35.0)
      own = labels(turned, settings.merge("labels" => {"sides" => ["top"]}))
      both = labels(turned, settings.merge("labels" => {"sides" => ["top"], "families" => "both"}))
      expect(own.map { |label| label.caption.to_s.length }.uniq).to eq([7])
      expect(both.map { |label| label.caption.to_s.length }.uniq.sort).to eq([7, 9])
      expect(
        labels(view(rotation: 90.0), settings.merge("labels" => {"sides" => ["top"]}))
          .map { |label| label.caption.to_s.length }
          .uniq
      ).to eq([9])
    end

    it "tell the frame's corners in full, to the unit" do
      found = labels(view, settings.merge("labels" => {"sides" => %w[top left], "corners" => true, "size_pt" => 7}))
      expect(found.map { |label| label.caption.to_s }).to include(
        "400\u2009500",
        "403\u2009500",
        "6\u2009527\u2009000",
        "6\u2009529\u2009000"
      )
    end

    it "stay on the paper; those without room are counted and told" do
      paper = TileLoom::Geometry::Box.new(0, 0, 340, 232)
      entry = surround(view, [settings], paper: paper).drawn.first
      expect(entry.labels.placed.map(&:side)).not_to include("bottom")
      # The top has them all; where it has none, they stand on their lines, but for those on the frame itself.
      expect([entry.labels.placed.count { |label| label.side.nil? }, entry.labels.unlabelled]).to eq([0, []])
      alone =
        surround(view, [settings.merge("labels" => settings["labels"].merge("sides" => ["bottom"]))], paper: paper)
          .drawn
          .first
          .labels
      expect(alone.off_paper).to eq(7)
      expect([alone.placed.count { |label| label.side.nil? }, alone.unlabelled.map(&:value)]).to eq(
        [5, [400_500, 403_500]]
      )
      expect(entry.labels.off_paper).to eq(7)
      expect(TileLoom::CoordinateGrid::Words.new(entry, view).warnings).to include(
        /7 labels have no space on the paper there; widen the margins there/
      )
    end

    # Round a pole all sides are crossed by meridians, and most parallels by none.
    it "have a place for every line of a polar sheet, or tell how many have none" do
      polar = TileLoom::Crs::System.find("EPSG:3413")
      {
        20_000_000 => {
          "x" => "2 deg",
          "y" => "1 deg"
        },
        5_000_000 => {
          "x" => "1 deg",
          "y" => "30 min"
        },
        2_000_000 => {}
      }.each do |scale, interval|
        view =
          TileLoom::View::FrameView.new(
            frame: TileLoom::Geometry::Box.at(40, 40, 400, 280),
            crs: polar,
            ground: TileLoom::Geometry::TurnedRectangle.new(0, 0, 0.4 * scale, 0.28 * scale, 0.0)
          )
        entry =
          surround(
            view,
            [
              {
                "id" => "g",
                "crs" => "geographic",
                "look" => "lines",
                "interval" => interval,
                "stroke" => {
                  "width_mm" => 0.1
                },
                "labels" => {
                  "sides" => %w[top right bottom left],
                  "size_pt" => 6
                }
              }.reject { |_, value| value == {} }
            ]
          ).drawn.first
        lines = entry.meshes.first.lines.select { |line| line.pieces.any? }
        said = entry.labels.placed.map(&:line).uniq(&:object_id)
        expect([entry.labels.unlabelled.length, said.length + entry.labels.ruled_out]).to eq([0, lines.length]),
          scale.to_s
        expect(
          lines
            .group_by(&:axis)
            .transform_values { |list| list.count { |line| said.any? { |known| known.equal?(line) } } }
        ).to match(x: be > 10, y: be > 3)
        told = TileLoom::CoordinateGrid::Words.new(entry, view).warnings
        expect(told.grep(/line/)).to match(
          entry.labels.ruled_out.zero? ? [] : [/\A#{entry.labels.ruled_out} lines of “g” are unlabelled by that rule/]
        )
        entry.labels.placed.combination(2) { |one, other| expect(one.spot.touches?(other.spot)).to be(false) }
      end
    end

    it "thin out by tens of decimal degrees as of any number" do
      view =
        TileLoom::View::FrameView.new(
          frame: TileLoom::Geometry::Box.at(40, 40, 400, 280),
          crs: TileLoom::Crs::System.find("EPSG:25829"),
          ground: TileLoom::Geometry::TurnedRectangle.new(402_000, 6_528_000, 3_400, 2_380, 0.0)
        )
      entry =
        surround(
          view,
          [
            {
              "id" => "g",
              "crs" => "geographic",
              "look" => "lines",
              "interval" => {
                "x" => "0.001 deg",
                "y" => "0.001 deg"
              },
              "stroke" => {
                "width_mm" => 0.1
              },
              "labels" => {
                "sides" => ["top"],
                "size_pt" => 6,
                "notation" => "decimal"
              }
            }
          ]
        ).drawn.first
      lines = entry.meshes.first.lines.count { |line| line.axis == :x && line.pieces.any? }
      expect([lines, entry.labels.placed.length]).to match([be > 50, be > lines / 6])
    end

    it "begin beyond the border, and the next grid's beyond the first one's" do
      banded = {"kind" => "banded", "thickness_mm" => 3, "gap_mm" => 1}
      drawn = surround(view, [settings, settings.merge("id" => "h", "crs" => "geographic")], border: banded).drawn
      inner, outer =
        drawn.map { |entry| entry.labels.placed.select { |label| label.side == "top" }.map { |label| label.spot.box } }
      expect(inner.map(&:max_y).max).to be < 30 - 4
      expect(outer.map(&:max_y).max).to be < inner.map(&:min_y).min
    end

    it "on the lines leave a gap in them" do
      entry =
        surround(
          view,
          [
            settings.merge(
              "labels" => {
                "sides" => ["left"],
                "position" => "inside",
                "line_gap_mm" => 0.5,
                "size_pt" => 7,
                "orientation" => "level"
              }
            )
          ]
        ).drawn.first
      runs = entry.nodes.flat_map(&:runs)
      expect(entry.labels.placed.length).to eq(5)
      entry.labels.placed.each do |label|
        box = label.spot.grow(0.49).box
        expect(runs.none? { |run| TileLoom::Geometry::SegmentClip.polyline(run, box).any? }).to be(true)
      end
    end
  end
end
