# frozen_string_literal: true

RSpec.describe TileLoom::Artwork::SvgReader do
  def read(body, head = 'viewBox="0 0 100 100"') =
    described_class.read(%(<svg xmlns="http://www.w3.org/2000/svg" #{head}>#{body}</svg>))

  def box(drawing) =
    TileLoom::Geometry::Box.around(drawing.shapes.flat_map(&:runs).flatten).to_a.map { |number| number.round(3) }

  it "reads the basic shapes into a square about the middle" do
    expect(box(read('<rect x="10" y="20" width="80" height="60"/>'))).to eq([-0.4, -0.3, 0.4, 0.3])
    expect(box(read('<circle cx="50" cy="50" r="25"/>'))).to eq([-0.25, -0.25, 0.25, 0.25])
    expect(box(read('<polygon points="0,0 100,0 50,100"/>'))).to eq([-0.5, -0.5, 0.5, 0.5])
    expect(box(read('<line x1="0" y1="50" x2="100" y2="50" stroke="#000"/>'))).to eq([-0.5, 0, 0.5, 0])
  end

  # SVG 1.1, 8.3: the paths of these pairs are the same shape by the standard.
  {
    "relative and absolute lines" => ["M10 10L90 10L90 90z", "m10 10 80 0 0 80z"],
    "horizontal and vertical lines" => ["M10 10H90V90Z", "m10,10h80v80z"],
    "a mirrored cubic" => ["M10 50C10 20 40 20 50 50S90 80 90 50", "M10 50C10 20 40 20 50 50C60 80 90 80 90 50"],
    "a mirrored quadratic" => ["M10 50Q30 10 50 50T90 50", "M10 50Q30 10 50 50Q70 90 90 50"],
    "flags without a space" => ["M10 50A40 40 0 0 1 90 50", "M10 50a40 40 0 0180 0"]
  }.each do |name, (one, other)|
    it "reads #{name}" do
      shapes = [one, other].map { |d| read(%(<path d="#{d}" stroke="#000000"/>)).shapes.first.runs.flatten }
      expect(shapes[0]).to match(shapes[1].map { |number| be_within(1e-9).of(number) })
    end
  end

  it "draws an arc on its circle" do
    run = read('<path d="M10 50A40 40 0 0 1 90 50" stroke="#000"/>').shapes.first.runs.first
    expect(run.each_slice(2).map { |x, y| Math.hypot(x, y).round(6) }.uniq).to eq([0.4])
    # Sweep 1 goes clockwise on a page with y down: over the top.
    expect(run.each_slice(2).map(&:last).min).to be_within(1e-6).of(-0.4)
  end

  it "follows nested transforms as the standard multiplies them" do
    drawing =
      read('<g transform="translate(50 50)"><g transform="rotate(90) scale(2)"><rect width="10" height="5"/></g></g>')
    expect(box(drawing)).to eq([-0.1, 0, 0, 0.2])
  end

  it "takes colours from attributes and styles, from the parent too, and leaves the user's own open" do
    shapes =
      read(
        '<g fill="#abc"><rect width="9" height="9"/><rect width="9" height="9" style="fill: rgb(255, 0, 16); ' \
'opacity:.5"/><rect width="9" height="9" fill="currentColor" stroke="white" stroke-width="2"/></g>'
      ).shapes
    expect(shapes.map(&:fill)).to eq(["#aabbcc", "#ff0010", :own])
    expect(shapes[1].opacity).to eq(0.5)
    expect([shapes[2].stroke, shapes[2].width]).to eq(["#ffffff", 0.02])
  end

  it "leaves out scripts, links, pictures and text, and says so" do
    drawing = read(<<~SVG)
      <script>alert(1)</script><image href="http://example.org/a.png"/><text>Hello</text><foreignObject><p/></foreignObject>
      <a href="javascript:alert(1)"><rect width="50" height="50" onclick="alert(2)"/></a><use href="#x"/><style>rect{fill:url(http://example.org)}</style>
    SVG
    expect(drawing.left_out).to eq(%w[<script> <image> <text> <foreignObject> links <use> <style>])
    expect(drawing.to_svg).not_to match(%r{script|href|image|onclick|http:(?!//www.w3.org)|style})
    expect(described_class.read(drawing.to_svg).shapes.length).to eq(1)
  end

  {
    "no SVG" => ["<html/>", /is not SVG/],
    "broken markup" => ["<svg><rect</svg>", /not well-formed/],
    "nothing to draw" => ['<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>', /contains no shapes.*<script>/],
    "entities" => [%(<!DOCTYPE svg [<!ENTITY a "b">]><svg><rect width="1" height="1"/></svg>), /declares entities/],
    "a path that does not read" => ['<svg><path d="M0 0 L hello"/></svg>', /cannot be read/],
    "a path that stops" => ['<svg><path d="M0 0 L 5"/></svg>', /is cut off/],
    "too many points" => ["<svg><path d=\"M0 0#{"L1 1" * 40_000}\"/></svg>", /more than 30000 points/],
    "a large file" => ["<svg>#{" " * 500_001}</svg>", /larger than 500 kB/],
    "deep nesting" => ["<svg>#{"<g>" * 50}<rect width='1' height='1'/>#{"</g>" * 50}</svg>", /nested more than 30 deep/]
  }.each do |name, (text, sentence)|
    it("refuses #{name}") { expect { described_class.read(text) }.to invalid(sentence) }
  end
end
