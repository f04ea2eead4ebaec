# frozen_string_literal: true

# What elements, frames, legends and conditions ask of the `sheet` that they are drawn on, by the roles in which they
# ask it (Compose::Roles). Rooms below `compose` send it no other message (contracts_spec.rb reads their code), and a
# toy sheet needs no more than the roles that are asked for.
module SheetContract
  # A message of a role: with which arguments it is sent, and what it answers.
  Message = Struct.new(:arguments, :answer)

  class << self
    # answer: classes, or what answers ===, of what is answered.
    def asked(*answer, with: ->(_sheet) { [] }) = Message.new(with, answer)

    def list(of) = ->(answer) { answer.is_a?(Array) && answer.all? { |one| of === one } }
  end

  VIEW = TileLoom::View::FrameView
  CELL = TileLoom::Index::Cell
  FRAME = ->(answer) { answer.respond_to?(:gridded?) && answer.gridded? }
  MAIN = ->(sheet) { sheet.view }
  ENTRY = TileLoom::Symbology::LegendEntry

  ROLES = {
    # The book that it is a page of, and where the book's features come from (contracts/source.rb).
    book: {
      book: asked(->(answer) { answer.respond_to?(:crs) && answer.respond_to?(:layers) }),
      source: asked(->(answer) { answer.respond_to?(:features) && answer.respond_to?(:raster) })
    },
    # What is on the paper.
    page: {
      layout: asked(TileLoom::Layout::Layout),
      page: asked(TileLoom::Layout::Page),
      page_number: asked(Integer),
      name: asked(String),
      elements: asked(list(TileLoom::Furniture::Element)),
      main_frame: asked(FRAME, nil),
      frame: asked(FRAME, nil, with: ->(_) { [nil] })
    },
    # Where it stands in the index. A page that is of no cell has none.
    place: {
      cell: asked(CELL, nil),
      cells: asked(list(CELL)),
      cells_of_part: asked(list(CELL)),
      part_of_index: asked(Integer, nil),
      neighbours: asked(->(answer) { answer.respond_to?(:[]) }),
      overlap_mm: asked(list(Numeric)),
      middle_of_index: asked(list(Numeric)),
      stated_scale: asked(Numeric),
      feature_of: asked(TileLoom::Compose::ShownFeature, nil, with: ->(sheet) { [sheet.cells.first] })
    },
    # What its frames look at.
    views: {
      view: asked(VIEW),
      nominal_view: asked(VIEW, nil),
      view_of: asked(VIEW, nil, with: ->(_) { [nil] }),
      viewing: asked(:viewed, with: ->(_) { ["no-frame"] }),
      measure: asked(TileLoom::View::Measure),
      norths: asked(TileLoom::View::Norths),
      passage: asked(Object, with: ->(sheet) { [sheet.book.crs, MAIN[sheet]] }),
      brought:
        asked(
          String,
          nil,
          with: ->(sheet) do
            [TileLoom::Geometry::Wkb.point(MAIN[sheet].ground.centre_x, MAIN[sheet].ground.centre_y), MAIN[sheet]]
          end
        )
    },
    # What the layers of the book draw in a view.
    ground: {
      ground_drawing: asked(TileLoom::View::GroundDrawing::Drawn, with: ->(sheet) { [MAIN[sheet]] }),
      ground_entries: asked(list(ENTRY), with: ->(sheet) { [MAIN[sheet]] }),
      labels_by_hand: asked(TileLoom::Symbology::Labels::HandSet),
      uncredited: asked(list(String), with: ->(sheet) { [sheet.book.layers] }),
      ppi: asked(Integer)
    },
    # What there is to be explained in a legend.
    entries: {
      legend_entries: asked(list(ENTRY)),
      known_entries: asked(list(ENTRY)),
      book_entries: asked(list(ENTRY))
    },
    # What its texts and conditions can say and ask.
    texts: {
      on_sheet: asked(TileLoom::Conditions::OnSheet),
      live_text: asked("Moss", with: ->(_) { ["{{ 'moss' | capitalize }}"] })
    },
    # Parts that are worked out once.
    kept: {
      once: asked(:worked_out, with: ->(_) { [:a_part_of_the_contract] }),
      part: asked(:worked_out, with: ->(_) { ["a part of the contract"] })
    }
  }.freeze

  # What a block is given for that sends one.
  BLOCKS = {once: :worked_out, part: :worked_out, viewing: :viewed}.freeze
end

# sheet: with `let`; roles: those that it has.
RSpec.shared_examples "a sheet" do |roles = SheetContract::ROLES.keys|
  SheetContract::ROLES
    .slice(*roles)
    .each do |role, messages|
      it "answers what is asked of its #{role}" do
        messages.each do |name, message|
          block = SheetContract::BLOCKS[name]&.then { |value| -> { value } }
          answer = sheet.public_send(name, *message.arguments.call(sheet), &block)
          expect(message.answer).to be_any { |wanted| wanted.nil? ? answer.nil? : wanted === answer },
            "#{name}: #{answer.class}"
        end
      end
    end
end
