# frozen_string_literal: true

# Texts on a page, measured in the printed file by poppler's boxes of words.
RSpec.describe TileLoom::Furniture::Elements::TextBox do
  # Of a text in the box of PrintedElements.
  def printed(**settings, &block) = printed_elements([{"kind" => "text", **settings.transform_keys(&:to_s)}], &block)

  long = "The moss lies on both sides of the burn and is crossed by the old track in three places."

  def rows(words) = words.group_by { |word| word[2].round(1) }.values

  it "sets a text at the left of its box, at the right, and in the middle" do
    printed(text: "Moss") { |words, _| expect(words[0][1]).to be_within(0.05).of(30) }
    printed(text: "Moss", align: "right") { |words, _| expect(words[0][3]).to be_within(0.05).of(90) }
    printed(text: "Moss", align: "centre") do |words, _|
      expect((words[0][1] + words[0][3]) / 2).to be_within(0.05).of(60)
    end
  end

  it "justifies all lines but the last between both edges" do
    printed(text: long, align: "justify", size_pt: 12) do |words, _|
      lines = rows(words)
      expect(lines.length).to be > 2
      lines[0...-1].each do |line|
        expect([line.first[1], line.last[3]]).to match([be_within(0.05).of(30), be_within(0.05).of(90)])
      end
      expect(lines.last.last[3]).to be < 88
    end
  end

  it "spaces characters out by the tracking, and lines by the line height" do
    widths =
      [0, 2].map do |tracking|
        printed(text: "MOSS", tracking_pt: tracking, size_pt: 10) { |words, _| words[0][3] - words[0][1] }
      end
    # Three gaps inside the word; poppler counts the one after it too.
    expect(widths[1] - widths[0]).to be_within(0.05).of(3 * 2 * 25.4 / 72).or be_within(0.05).of(4 * 2 * 25.4 / 72)
    pitches =
      [1.0, 1.5].map do |height|
        printed(text: "a\nb", line_height: height, size_pt: 20) { |words, _| words[1][2] - words[0][2] }
      end
    expect(pitches).to match([be_within(0.05).of(20 * 25.4 / 72), be_within(0.05).of(30 * 25.4 / 72)])
  end

  it "kerns: a pair that leans together is narrower than its letters" do
    apart = printed(text: "A V", size_pt: 40) { |words, _| words.sum { |word| word[3] - word[1] } }
    printed(text: "AV", size_pt: 40) { |words, _| expect(words[0][3] - words[0][1]).to be < apart - 0.05 }
  end

  it "shrinks to fit its box, and no further than it may" do
    heights = ->(**settings) do
      printed(text: long * 3, size_pt: 20, **settings) do |words, _|
        [words.map { |word| word[4] }.max, words[0][4] - words[0][2]]
      end
    end
    free, shrunk, stopped = heights.call, heights.call(minimum_pt: 5), heights.call(minimum_pt: 15)
    expect(free[0]).to be > 70
    expect(shrunk[0]).to be <= 70.5
    expect(stopped[1] / free[1]).to be_within(0.01).of(15 / 20.0)
  end

  it "keeps the padding free, and draws its panel with round corners behind the text" do
    printed(
      text: "Moss",
      padding_mm: 4,
      fill: {
        "colour" => "#ffee00"
      },
      stroke: {
        "colour" => "#112233",
        "width_mm" => 0.5
      },
      corner_mm: 3
    ) do |words, file|
      expect(words[0][1]).to be_within(0.05).of(34)
      panel =
        poppler_paths(file, 1).find do |path|
          path[:points].length > 30 &&
            path[:points].map(&:first).minmax.then { |low, high| (high - low - 60).abs < 0.3 }
        end
      expect(panel[:points].map(&:first).minmax).to match([be_within(0.1).of(30), be_within(0.1).of(90)])
      expect(panel[:points].map(&:last).minmax).to match([be_within(0.1).of(40), be_within(0.1).of(70)])
    end
  end

  it "turns clockwise about the middle of its box" do
    printed(text: "Moss", rotation_deg: 90) do |words, _|
      # What was at the left edge, 30 mm from the middle at 60, 55, comes to the top: 25 mm down.
      expect(words[0][2]).to be_within(0.2).of(25)
      expect(words[0][1]).to be > 70
    end
  end

  it "writes Greek, Cyrillic and water names in every family" do
    %w[sans condensed serif-italic].each do |face|
      printed(text: "Ωμέγα Жизнь Lòchan", face: face) do |words, file|
        expect([words.map(&:first).join(" "), outside("pdffonts", file).lines.length]).to eq(["Ωμέγα Жизнь Lòchan", 3])
      end
    end
  end

  it "says whether a sheet’s text stands in its box" do
    box = ->(text) do
      described_class.new(
        {
          "kind" => "text",
          "id" => "t",
          "text" => text,
          "size_pt" => 9,
          "place" => {
            "left_mm" => 0,
            "width_mm" => 30,
            "top_mm" => 0,
            "height_mm" => 8
          }
        },
        path: "/e"
      )
    end
    sheet =
      Struct
        .new(:page) { def live_text(template, path: nil, written: nil) = template }
        .new(
          TileLoom::Layout::Page.new(
            {"size" => "A4", "margins_mm" => {"top" => 0, "right" => 0, "bottom" => 0, "left" => 0}}
          )
        )
    expect([box["Moss"].fits?(sheet), box[long].fits?(sheet), box["Restorationareaboundary"].fits?(sheet)]).to eq(
      [true, false, false]
    )
  end
end
