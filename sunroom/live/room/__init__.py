"""A live room and its parts: who is here, the boards, the lesson, the door, talk and pointers."""
