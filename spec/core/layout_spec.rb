# frozen_string_literal: true

RSpec.describe TileLoom::Layout do
  def page(size, **more) = TileLoom::Layout::Page.new({"size" => size, "margins_mm" => {"top" => 10, "right" => 11, "bottom" => 12, "left" => 13}}.merge(more.transform_keys(&:to_s)))

  # ISO 216, table 1; ASME Y14.1 (from memory).
  it "knows the standard sizes of paper" do
    expect([page("A3").width_mm, page("A3").height_mm]).to eq([297, 420])
    expect([page("A4").width_mm, page("A4").height_mm]).to eq([210, 297])
    expect([page("B4").width_mm, page("B4").height_mm]).to eq([250, 353])
    expect([page("ANSI B").width_mm, page("ANSI B").height_mm]).to eq([279.4, 431.8])
  end

  # ISO 216: each A size is half the one before, its sides in the ratio of one to the root of two.
  it "halves A sizes" do
    sizes = TileLoom::Layout::PageSize::ALL.values_at("A0", "A1", "A2", "A3", "A4", "A5", "A6")
    sizes.each_cons(2) { |(short, long), (less, more)| expect([more, less]).to match([be_within(0.01).of(short), be_within(1.01).of(long / 2)]) }
  end

  it "turns the page, and leaves margins and gutter free" do
    expect(page("A3", orientation: "landscape").width_mm).to eq(420)
    area = page("A4", binding: {"edge" => "left", "gutter_mm" => 7}).live_area
    expect(area.to_a).to eq([20, 10, 210 - 11, 297 - 12])
    expect(page("A4", binding: {"edge" => "top", "gutter_mm" => 7}).live_area.min_y).to eq(17)
  end

  it "refuses margins larger than the page" do
    huge = page("A6", margins_mm: {"top" => 80, "right" => 10, "bottom" => 80, "left" => 10})
    expect { huge.live_area }.to invalid(/margins leave 85 × -12 mm of a page of 105 × 148 mm/, path: "/layout/page/margins_mm")
  end

  it "ties an element to edges, or stretches it between them" do
    area = TileLoom::Geometry::Box.new(10, 10, 110, 210)
    place = ->(settings) { TileLoom::Layout::Place.new(settings.transform_keys(&:to_s)).within(area).to_a }
    expect(place.call({left_mm: 5, right_mm: 15, top_mm: 0, bottom_mm: 0})).to eq([15, 10, 95, 210])
    expect(place.call({right_mm: 5, width_mm: 20, bottom_mm: 5, height_mm: 10})).to eq([85, 195, 105, 205])
    expect { place.call({left_mm: 60, right_mm: 60}) }.to invalid(/no room on this page/)
  end

  it "keeps every ready design on every standard page that has room for it" do
    described_class::Designs.names.product(["A1", "A3", "ANSI B"], %w[portrait landscape]).each do |name, size, orientation|
      layout = described_class::Layout.new({"page" => {"size" => size, "orientation" => orientation, "margins_mm" => {"top" => 10, "right" => 10, "bottom" => 10, "left" => 10}}, "elements" => described_class::Designs.elements(name)})
      live = layout.page.live_area.grow(0.001)
      layout.elements.each do |element|
        box = element.box(layout.page)
        expect(live.include?(box.min_x, box.min_y) && live.include?(box.max_x, box.max_y)).to be(true), "#{name} on #{size} #{orientation}: #{element.id}"
      end
    end
  end

  it "says which page size is not known" do
    expect { page("A9") }.to invalid(/“A9” is not a page size; use one of A0/)
  end
end
