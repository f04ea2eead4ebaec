# frozen_string_literal: true

RSpec.describe TileLoom::Index::SheetRange do
  cells = (1..9).map { |number| TileLoom::Index::Cell.new(number: number, name: "A#{number}") }

  def pick(text, cells) = described_class.new(text).pick(cells).map(&:number)

  it "takes places, names and spans of them, in book order and once each" do
    expect(pick("all", cells)).to eq((1..9).to_a)
    expect(pick("7, 1-3", cells)).to eq([1, 2, 3, 7])
    expect(pick("a2-a4,3", cells)).to eq([2, 3, 4])
    expect(pick("3-1", cells)).to eq([1, 2, 3])
  end

  describe "with sheets named 3, 2, 1" do
    turned = %w[3 2 1].each_with_index.map { |name, index| TileLoom::Index::Cell.new(number: index + 1, name: name) }

    it "asks which is meant where a part is the number of one sheet and the name of another" do
      expect { described_class.new("1").pick(turned) }.to raise_error(TileLoom::Index::SheetRange::Ambiguous) { |error|
        expect(error.message).to eq(
          "“1”: sheet 3 is named 1, and number 1 is named 3. Which one? Enter #1 for the number or \"1\" for the name."
        )
        expect(error.choices).to eq(
          [
            {"text" => "#1", "says" => "number 1, sheet 3"},
            {"text" => "\"1\"", "says" => "the sheet named 1, number 3"}
          ]
        )
      }
      expect([pick("#1", turned), pick("\"1\"", turned), pick("2", turned), pick("#1-#3", turned)]).to eq(
        [[1], [3], [2], [1, 2, 3]]
      )
      expect { pick("2, 1-2, 1", turned) }.to raise_error(TileLoom::Index::SheetRange::Ambiguous) { |error|
        expect(error.choices.map { |choice| choice["text"] }).to eq(["2, #1-2, 1", "2, \"1\"-2, 1"])
      }
    end

    it "does not ask where both readings are one sheet" do
      same = (1..3).map { |number| TileLoom::Index::Cell.new(number: number, name: number.to_s) }
      expect(pick("1-2", same)).to eq([1, 2])
    end
  end

  it("names the sheet that is not there") { expect { pick("1-12", cells) }.to invalid(/no sheet “12”/) }

  it "reads what people write around commas and hyphens, in either case" do
    expect([pick(" ALL ", cells), pick("", cells), pick("a1 - A2,, 4", cells)]).to eq(
      [(1..9).to_a, (1..9).to_a, [1, 2, 4]]
    )
    hyphened =
      %w[North-1 North-2].each_with_index.map { |name, at| TileLoom::Index::Cell.new(number: at + 1, name: name) }
    expect(pick("north-2", hyphened)).to eq([2])
  end

  it "takes the very name before one in another case" do
    cases = %w[b B].each_with_index.map { |name, at| TileLoom::Index::Cell.new(number: at + 1, name: name) }
    expect([pick("B", cases), pick("b", cases)]).to eq([[2], [1]])
  end

  it "names the part that is not there, or that nothing is meant by" do
    expect { pick("A1, A12", cells) }.to invalid(/no sheet “A12”.*A1 to A9/)
    expect { pick("A1-A2-A3", cells) }.to invalid(/no sheet “A2-A3”/)
    expect { pick("A1-", cells) }.to invalid(/no sheet “A1-”/)
    expect { pick(",", cells) }.to raise_error(TileLoom::Refusal)
  end

  it "takes a number sign for a number, whatever sheets are called" do
    signs = %w[#2 #1].each_with_index.map { |name, at| TileLoom::Index::Cell.new(number: at + 1, name: name) }
    expect([pick("#2", signs), pick("\"#2\"", signs)]).to eq([[2], [1]])
  end

  it "says for what numbers were taken" do
    said = ->(text) { described_class.new(text).readings(cells) }
    expect(said["2, A3, #4"]).to eq(["“2” is number 2, sheet A2.", "“#4” is number 4, sheet A4."])
    expect(said["2-3, 2"]).to eq(["“2” is number 2, sheet A2.", "“3” is number 3, sheet A3."])
    expect([said["all"], said["A1-A2"], said["99"]]).to eq([[], [], []])
    named = %w[10 20].each_with_index.map { |name, at| TileLoom::Index::Cell.new(number: at + 1, name: name) }
    expect(described_class.new("20").readings(named)).to eq(["“20” is the sheet of that name, number 2."])
    spans = [TileLoom::Index::Cell.new(number: 1, name: "1-2")]
    expect(described_class.new("1-2").readings(spans)).to eq([])
    same = [TileLoom::Index::Cell.new(number: 1, name: "1")]
    expect(described_class.new("1").readings(same)).to eq([])
  end

  describe "with pages beside the sheets" do
    page = Struct.new(:name, :index?)
    others = [page.new("Overview", true), page.new("Notes", false), page.new("A1", false)]
    picked = ->(text) do
      described_class.new(text, others: others).then { |range| [range.pick(cells), range.others(cells)] }
    end

    it "finds them by what they are or by their name, and sheets before them" do
      expect(picked["index"]).to eq([[], [others[0]]])
      expect(picked["Pages"]).to eq([[], others.drop(1)])
      expect(picked["notes, 3"]).to eq([[cells[2]], [others[1]]])
      expect(picked["A1"]).to eq([[cells[0]], []])
      expect(picked["all"]).to eq([cells, others])
      expect(picked["pages, notes"].last).to eq(others.drop(1))
    end
  end
end
